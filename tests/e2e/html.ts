import { HtmlValidate, StaticConfigLoader } from 'html-validate';

/**
 * The WHATWG HTML standard as html-validate checks it. Left out: ">" in a text, which the standard allows and this rule
 * only advises against; and two faults of Carbon's own elements, a block inside the button of a disclosure and a name on
 * the body of a dialog.
 */
const validator = new HtmlValidate(
	new StaticConfigLoader({ extends: ['html-validate:standard'], rules: { 'no-raw-characters': 'off' } })
);
const CARBONS = [
	/^element-permitted-content: <div> element is not permitted as content under <button>/,
	/^aria-label-misuse: .* #bx--modal-body--/
];

/** Returns the faults in the HTML of a page. */
export async function htmlFaults(html: string): Promise<string[]> {
	// Svelte marks places with "<!>", which browsers read as an empty comment; the validator stops there
	const { results } = await validator.validateString(html.replaceAll('<!>', '<!---->'));
	return results
		.flatMap(({ messages }) => messages)
		.map(({ ruleId, message, selector }) => `${ruleId}: ${message} ${selector}`)
		.filter((fault) => !CARBONS.some((known) => known.test(fault)));
}
