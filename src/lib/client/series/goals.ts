import { AIMS, type FormId } from '$lib/core/movement';
import { goalForPurpose } from '$lib/core/series';
import { styleOf } from '$lib/core/style';
import type { SeriesDesk } from './series-desk.svelte';

/** The goal that a purpose stands for with the group of a series; null for anything else. */
export function goalFor(
	{ catalogue, context }: SeriesDesk,
	chosen: string
): { movement: string; form: FormId } | null {
	const purpose = AIMS.find((one) => one === chosen);
	if (!purpose) return null;
	return goalForPurpose(purpose, catalogue.find, context.group, styleOf(context.style.choices));
}
