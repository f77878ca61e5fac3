/**
 * People in notes. A mention is a reference, "@{id}": the name is looked up when the note is shown, so that a name that
 * changes or goes changes no note. A name in free text is a word like others: it may mean another person.
 */

const MENTION = /@\{([A-Za-z0-9_-]{16})\}/g;

/** Whom a note may mention. */
export interface Mentionable {
	id: string;
	/** First name and initial, as in "Oda F.". */
	name: string;
}

/** Stands where a person is mentioned who is not there any more, or whose name is for another teacher's eyes. */
export const SOMEBODY = '@somebody';

/** The ids of all whom a note mentions. */
export const mentions = (note: string): string[] => [...note.matchAll(MENTION)].map(([, id]) => id!);

/** A note as it is read: each mention as "@" and the name. */
export const withNames = (note: string, people: readonly Mentionable[]): string =>
	note.replace(MENTION, (_all, id) => {
		const person = people.find((one) => one.id === id);
		return person ? `@${person.name}` : SOMEBODY;
	});

/**
 * A note as it is kept: each "@" with the name of one of these people as a mention. Of two names that begin alike the longer
 * one counts.
 */
export function withMentions(note: string, people: readonly Mentionable[]): string {
	const longestFirst = [...people].sort((a, b) => b.name.length - a.name.length);
	return longestFirst.reduce((text, { id, name }) => text.replace(wordOf(`@${name}`), `@{${id}}`), note);
}

/** How many characters a note counts: a mention as one, however long its reference is. */
export const noteLength = (note: string): number => note.replace(MENTION, '@').length;

/** Matches the words only where no letter or digit stands right before or after. */
const wordOf = (words: string): RegExp => {
	const literal = words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
	return new RegExp(`(?<![\\p{L}\\p{M}\\p{N}])${literal}(?![\\p{L}\\p{M}\\p{N}])`, 'gu');
};

/** The words by which a person may be called in free text: the whole name, and the first name alone. */
const callings = (name: string): string[] => [...new Set([name, name.split(' ')[0]!])];

/** Whether a person's name, or their first name, stands in a note as a word of its own. */
export const namesAsWord = (note: string, name: string): boolean =>
	callings(name).some((words) => wordOf(words).test(note));

/** Stands where a name was taken out: never longer than the name, so that a note stays within its limit. */
const NAME_TAKEN_OUT = '…';

/** A note without a person's name where it stands as a word; all other text stays as it is. */
export const withoutName = (note: string, name: string): string =>
	callings(name).reduce((text, words) => text.replace(wordOf(words), NAME_TAKEN_OUT), note);

/** The lines of a note that mention a person, with all others in them unnamed. */
export const linesAbout = (note: string, id: string, name: string): string =>
	note
		.split('\n')
		.filter((line) => mentions(line).includes(id))
		.map((line) => withNames(line, [{ id, name }]))
		.join('\n');
