// Stops the build when a movement is faulty, with its name and field.
import { assertCatalogue } from '../src/lib/catalogue';

assertCatalogue();
