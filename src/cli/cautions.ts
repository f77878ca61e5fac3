import { CATALOGUE, findMovement } from '../lib/catalogue';
import { accountOfConditions, cautionsOfMovement } from '../lib/core/movement';
import { Complaint, parsed } from './input';
import { table } from './table';

export const CAUTIONS_USAGE = `  cautions   what each condition rules out, and what is given instead (no file)
    --movement SLUG   only what is said of this movement`;

/** `orbit cautions`: the table of conditions, or what it says of one movement. @returns the exit code */
export function cautionsCommand(args: string[]): number {
	const { values, positionals } = parsed(args, { json: { type: 'boolean' }, movement: { type: 'string' } });
	if (positionals[0]) throw new Complaint(`orbit cautions takes no file; what is "${positionals[0]}"?`);
	const { movement: slug, json } = values;
	if (slug !== undefined) {
		const movement = findMovement(String(slug));
		if (!movement) throw new Complaint(`there is no movement "${slug}"; orbit movements lists them`);
		const said = cautionsOfMovement(movement);
		if (json) console.log(JSON.stringify(said, null, '\t'));
		else
			console.log(
				table(
					['caution', 'given in', 'instead', 'because'],
					said.map((one) => [
						one.caution,
						one.okIn.join(', ') || 'no form',
						one.instead,
						one.because.join('; ') || 'the entry says so'
					])
				)
			);
		return 0;
	}
	const account = accountOfConditions(CATALOGUE);
	if (json) console.log(JSON.stringify(account, null, '\t'));
	else
		console.log(
			table(
				['caution', 'movements', 'rules'],
				account.flatMap(({ caution, movements, rules }) =>
					rules.map((rule, i) => (i ? ['', '', rule] : [caution, String(movements.length), rule]))
				)
			)
		);
	return 0;
}
