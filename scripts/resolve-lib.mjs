// Where `$lib` points to, for dependency-cruiser, which reads a configuration of webpack for that.
import { fileURLToPath } from 'node:url';

export default { resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } } };
