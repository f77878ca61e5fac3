import { isIsoDay } from '$lib/core/calendar';
import { GROUP, groupFaults, kitFaults, type Group, type Kit } from '$lib/core/group';
import { readWith, type Fault } from '$lib/core/validation';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { createGroup } from '$lib/server/group/groups';
import { readJsonObject, tokenOf, versionOf } from '$lib/server/http/requests';
import { createSentPlan, readSentPlan } from '$lib/server/plan/plan-upload';
import { saveStudioKit } from '$lib/server/studio/studio-kit';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/**
 * Adds a group, all in one or not at all: with what the studio holds, counted for its first group, and with its first
 * class. 201 with their ids, 422 with the faults, 409 where the kit was counted elsewhere meanwhile.
 */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const token = tokenOf(request.headers.get('idempotency-key'));
	const body = await readJsonObject(request);
	const group = readWith<Group>(GROUP, body.group, groupFaults);
	const faults = [...(group.ok ? [] : under('group', group.faults)), ...under('kit', kitFaults(body.kit))];
	const sent = body.plan === undefined ? null : await readSentPlan(db(), studio.id, body);
	if (sent && 'faults' in sent) faults.push(...under('plan', sent.faults));
	const plannedOn = String(body.plannedOn);
	if (sent && !isIsoDay(plannedOn))
		faults.push({ path: 'plannedOn', message: 'this is not a day of the calendar' });
	if (faults.length || !group.ok) return json({ faults }, { status: 422 });
	const made = await once(db(), studio.id, token, body, async (tx) => {
		const kit = await saveStudioKit(tx, studio.id, versionOf(body.kitVersion), body.kit as Kit);
		if (kit.kind !== 'saved') error(409, 'The kit was changed in another window. Reload the page.');
		const id = await createGroup(tx, studio.id, group.value);
		const planId = sent && 'plan' in sent ? await createSentPlan(tx, studio.id, id, plannedOn, sent) : null;
		return { id, planId };
	});
	return json(made, { status: 201 });
};

const under = (path: string, faults: readonly Fault[]): Fault[] =>
	faults.map((fault) => ({ ...fault, path: fault.path ? `${path}.${fault.path}` : path }));
