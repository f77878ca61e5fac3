import type { Purpose } from '../../movement';

/**
 * Themes of classes: for each purpose what wakes it, what builds it up, what it comes to and what lets it go, each list
 * from the easier to the harder. Common practice, no source. A line is a movement, with its mode where more than one is
 * taught (`low-lunge in dynamic`); ` > ` joins a chain that is done on one side and then on the other; ` | ` a flow that moves with
 * the breath. Forms are chosen for the people.
 */
export interface Theme {
	/** What it serves, the first above all. */
	purposes: readonly Purpose[];
	/** What a class with it is about: "standing strength". */
	about: string;
	wake: readonly string[];
	build: readonly string[];
	peak: readonly string[];
	letGo: readonly string[];
	/** Only for teachers who hold long and do little. */
	quiet?: true;
	/** Not for beginners, nor between two halves of a day at a desk. */
	steep?: true;
}

export const THEMES: readonly Theme[] = [
	{
		purposes: ['hip extension under the trunk', 'push-off'],
		about: 'long fronts of the hip',
		wake: [
			'cat-cow',
			'bridge-lift in dynamic',
			'child-to-cobra-wave',
			'sidelying-leg-back',
			'standing-leg-back in dynamic'
		],
		build: [
			'upward-dog',
			'sidelying-leg-back',
			'low-lunge in dynamic',
			'low-lunge in active > low-lunge-knee-lift in isometric',
			'low-lunge in active > low-lunge-side-bend',
			'wall-lunge',
			'low-lunge in active > runner-lunge',
			'standing-leg-back in isometric',
			'low-lunge-knee-lift in dynamic > runner-lunge',
			'prone-leg-lift in dynamic',
			'locust in isometric',
			'half-hero-lunge'
		],
		peak: [
			'split-squat',
			'low-lunge in active > runner-lunge > split-squat',
			'warrior-1-wall in isometric',
			'kneeling-lean-back in dynamic',
			'kneeling-quad-catch',
			'locust in isometric'
		],
		letGo: [
			'wall-quad-lunge in passive',
			'standing-quad-hold in passive',
			'block-bridge-knee-in in passive',
			'supported-bridge in passive',
			'sidelying-quad-hold in passive',
			'prone-quad-strap in passive',
			'supine-cross-quad-catch',
			'block-bridge-long-legs',
			'knees-to-chest in passive'
		]
	},
	{
		purposes: ['hip extension under the trunk', 'end-range lift'],
		about: 'the back leg of the pigeon',
		steep: true,
		wake: ['cat-cow', 'seated-knee-wipers', 'bridge-lift in dynamic', 'quadruped-hip-circle'],
		build: [
			'low-lunge in active > low-lunge-knee-lift in isometric',
			'90-90-sit in isometric > 90-90-twist',
			'90-90-twist-reach',
			'half-hero-lunge',
			'pigeon-upright in active',
			'cobra',
			'lizard'
		],
		peak: [
			'pigeon-upright in active > pigeon-back-knee-lift in dynamic',
			'pigeon-back-knee-lift in active',
			'king-pigeon-prep',
			'pigeon-backbend'
		],
		letGo: [
			'pigeon-fold in passive',
			'sidelying-quad-hold in passive',
			'supine-twist',
			'block-bridge-knee-in in passive'
		]
	},
	{
		purposes: ['single-leg strength', 'level pelvis'],
		about: 'one leg that carries',
		wake: [
			'bridge-lift in dynamic',
			'supine-march',
			'standing-leg-back in dynamic',
			'standing-hip-circle',
			'calf-raise in dynamic'
		],
		build: [
			'clam in dynamic > sidelying-parallel-lift in dynamic',
			'standing-knee-hold in active',
			'standing-side-lift in dynamic',
			'standing-knee-hold in active > standing-side-lift in dynamic',
			'hip-hike',
			'wall-side-push',
			'standing-figure-four in dynamic',
			'curtsy-cross',
			'band-side-step',
			'runner-lunge > standing-knee-hold in active',
			'eagle-legs in active'
		],
		peak: [
			'split-squat',
			'single-leg-hinge',
			'single-leg-squat',
			'step-up',
			'hip-hike > single-leg-hinge',
			'single-leg-bridge in dynamic'
		],
		letGo: [
			'supine-figure-four in passive',
			'supine-twist',
			'sidelying-quad-hold in passive',
			'chair-figure-four in passive',
			'forward-fold in passive',
			'knees-to-chest in passive'
		]
	},
	{
		purposes: ['push-off', 'hip extension under the trunk', 'single-leg strength'],
		about: 'pushing off',
		wake: [
			'calf-raise in dynamic',
			'standing-push-off-drill',
			'bridge-lift in dynamic',
			'standing-leg-back in dynamic',
			'cat-cow'
		],
		build: [
			'wall-lunge',
			'standing-leg-back in dynamic',
			'low-lunge-knee-lift in dynamic',
			'low-lunge in active > low-lunge-knee-lift in dynamic > runner-lunge',
			'hamstring-slide',
			'calf-raise in isometric',
			'standing-push-off-drill',
			'prone-leg-lift in dynamic'
		],
		peak: [
			'single-leg-bridge in dynamic',
			'split-squat',
			'step-up',
			'warrior-1-wall in isometric',
			'single-leg-bridge in isometric'
		],
		letGo: [
			'supine-hamstring-strap in passive',
			'standing-quad-hold in passive',
			'forward-fold in passive',
			'supine-figure-four in passive',
			'supported-bridge in passive'
		]
	},
	{
		purposes: ['level pelvis', 'single-leg strength', 'mid-range control'],
		about: 'the outer hip that keeps the pelvis level',
		wake: ['supine-march', 'supine-leg-roll', 'cat-cow', 'bird-reach in dynamic', 'standing-hip-circle'],
		build: [
			'sidelying-leg-back',
			'clam in dynamic > sidelying-rotation-low > sidelying-parallel-lift in dynamic',
			'bird-reach in isometric',
			'fire-hydrant in dynamic',
			'side-plank-knee-down in isometric',
			'standing-side-lift in dynamic',
			'standing-side-lift in isometric',
			'hip-hike',
			'wall-side-push',
			'band-side-step',
			'three-leg-dog'
		],
		peak: [
			'hip-hike',
			'single-leg-hinge',
			'single-leg-bridge in isometric',
			'curtsy-cross',
			'split-squat',
			'side-plank-knee-down in dynamic'
		],
		letGo: [
			'supine-figure-four in passive',
			'cow-face-fold',
			'supine-twist',
			'supine-leg-across-strap in passive',
			'supine-inward-knee-drop',
			'chair-figure-four in passive'
		]
	},
	{
		purposes: ['step-up', 'single-leg strength', 'high step'],
		about: 'stepping up without a swing',
		wake: [
			'supine-march',
			'bridge-lift in dynamic',
			'calf-raise in dynamic',
			'standing-hip-circle',
			'quadruped-knee-sweep'
		],
		build: [
			'standing-knee-hold in active',
			'chair-lunge',
			'hip-hike',
			'chair-sit-to-stand',
			'low-lunge in active > runner-lunge',
			'runner-lunge > standing-knee-hold in active',
			'standing-leg-back in dynamic'
		],
		peak: ['step-up', 'single-leg-squat', 'split-squat', 'high-step-lift in dynamic'],
		letGo: [
			'supine-figure-four in passive',
			'standing-quad-hold in passive',
			'single-knee-to-chest in passive',
			'supine-hamstring-strap in passive',
			'sidelying-quad-hold in passive'
		]
	},
	{
		purposes: ['turned-out squat', 'wide straddle', 'adductors at length'],
		about: 'a squat that opens from the hip',
		wake: ['wide-stance-sway', 'rocking-frog', 'cat-cow', 'quadruped-hip-circle', 'supine-knee-rock'],
		build: [
			'wide-stance-sway',
			'half-kneeling-adductor-rock',
			'gate-side-lunge-flow',
			'warrior-2 in active > warrior-2-straighten',
			'warrior-2-shift',
			'side-lunge-shift',
			'goddess-squat in dynamic',
			'warrior-2 in active > reverse-warrior > warrior-2-straighten',
			'garland-squat',
			'prone-knee-press'
		],
		peak: [
			'goddess-squat in isometric',
			'turned-out-stance-lift in isometric',
			'garland-squat',
			'side-lunge-shift',
			'turned-out-stance-lift in dynamic',
			'warrior-2 in isometric',
			'raised-heel-squat'
		],
		letGo: [
			'butterfly in passive',
			'supine-butterfly in passive',
			'happy-baby in passive',
			'supine-knee-out in passive',
			'supine-outward-knee-open',
			'wide-knee-child in rest'
		]
	},
	{
		purposes: ['high step', 'knee pull', 'end-range lift'],
		about: 'the high step',
		wake: ['supine-march', 'quadruped-knee-sweep', 'standing-hip-circle', 'cat-cow', 'squat-to-fold'],
		build: [
			'supine-straight-leg-lift',
			'standing-knee-hold in active',
			'side-lunge-shift',
			'garland-squat',
			'low-lunge in active > lizard',
			'chair-lunge',
			'rock-over',
			'single-knee-to-chest in active'
		],
		peak: [
			'high-step-lift in dynamic',
			'high-step-lift in isometric',
			'rock-over',
			'high-step-ledge in dynamic',
			'step-up',
			'standing-knee-hold in isometric'
		],
		letGo: [
			'supine-figure-four in passive',
			'happy-baby in passive',
			'single-knee-to-chest in passive',
			'supine-knee-out in passive',
			'block-bridge-knee-in in passive',
			'supine-outward-knee-open'
		]
	},
	{
		purposes: ['dropped knee', 'turning both ways'],
		about: 'the dropped knee',
		wake: [
			'supine-leg-roll',
			'seated-knee-wipers',
			'straight-leg-wipers',
			'wide-stance-turn',
			'supine-heel-pivot in dynamic',
			'prone-windmill in dynamic'
		],
		build: [
			'seated-inward-lift in dynamic',
			'quadruped-foot-swing',
			'standing-turn-step',
			'90-90-sit in isometric > 90-90-back-knee-lift',
			'half-kneel-turn-in',
			'sidelying-top-knee-press',
			'supine-low-leg-turn',
			'supine-turned-in-press in isometric',
			'90-90-back-foot-lift in dynamic',
			'wide-stance-knee-turn-in in active'
		],
		peak: [
			'dropped-knee-step in dynamic',
			'dropped-knee-step in isometric',
			'deep-squat-knee-turn',
			'90-90-sit in isometric > 90-90-back-foot-lift in dynamic',
			'wide-stance-knee-turn-in in dynamic',
			'frog-lift-off in dynamic',
			'90-90-back-foot-lift in isometric',
			'half-kneel-turn-in'
		],
		letGo: [
			'supine-inward-knee-drop',
			'seated-knee-drop-hold in passive',
			'supine-turned-in-press in passive',
			'supine-leg-across-strap in passive',
			'supine-twist'
		]
	},
	{
		purposes: ['wide straddle', 'adductors at length', 'end-range lift'],
		about: 'wide legs that carry',
		wake: [
			'wide-stance-sway',
			'gate-cat-cow',
			'rocking-frog',
			'cat-cow',
			'straight-leg-wipers',
			'wall-leg-rotation'
		],
		build: [
			'half-kneeling-adductor-rock',
			'gate-pose',
			'gate-side-lunge-flow',
			'warrior-2 in active > triangle in active',
			'triangle in active > triangle-lunge-pulse in dynamic',
			'wide-leg-seated in active',
			'wide-leg-twist-tap',
			'straddle-side-lean',
			'adductor-slide',
			'side-lunge-shift',
			'sidelying-inner-lift',
			'supine-block-squeeze',
			'wall-leg-rotation-wide'
		],
		peak: [
			'firefly',
			'straddle-leg-lift',
			'adductor-slide',
			'goddess-squat in isometric',
			'side-lunge-shift',
			'frog-lift-off in isometric',
			'inner-thigh-side-plank',
			'goddess-side-bend in isometric',
			'wall-squeeze-draw'
		],
		letGo: [
			'frog in passive',
			'supine-butterfly in passive',
			'wide-leg-seated-fold in passive',
			'wall-straddle',
			'butterfly-fold in passive',
			'supine-leg-out-strap',
			'supine-knee-out in passive'
		]
	},
	{
		purposes: ['adductors at length', 'wide straddle', 'mid-range control'],
		about: 'inner thighs, long and awake',
		wake: ['wide-stance-sway', 'gate-cat-cow', 'supine-knee-rock', 'cat-cow', 'supine-block-squeeze'],
		build: [
			'butterfly in active',
			'half-kneeling-adductor-rock',
			'sidelying-inner-lift',
			'gate-pose',
			'standing-wide-fold in active',
			'triangle in active',
			'warrior-2-shift',
			'side-lunge-shift',
			'butterfly-side-fold in active',
			'wide-leg-seated in active',
			'chair-inner-thigh in active'
		],
		peak: [
			'goddess-squat in isometric',
			'goddess-squat in dynamic',
			'side-lunge-shift',
			'sidelying-inner-lift',
			'inner-thigh-side-plank',
			'adductor-slide'
		],
		letGo: [
			'butterfly-elbow-press in passive',
			'supine-butterfly in passive',
			'butterfly-fold in passive',
			'wide-leg-seated-fold in passive',
			'prone-half-frog in passive',
			'happy-baby in passive',
			'wall-straddle',
			'supine-leg-out-strap'
		]
	},
	{
		purposes: ['heel perch', 'deep flexion', 'turned-out squat'],
		about: 'the seat over the heel',
		wake: [
			'quadruped-hip-circle',
			'squat-to-fold',
			'child-to-cobra-wave',
			'calf-raise in dynamic',
			'cat-cow'
		],
		build: [
			'kneeling-sit in active',
			'side-sit-reach',
			'garland-squat',
			'half-hero-lunge',
			'leg-cradle',
			'side-lunge-shift',
			'rock-over',
			'low-lunge in active > lizard'
		],
		peak: [
			'rock-over',
			'raised-heel-squat',
			'kneeling-quad-catch',
			'lizard-quad-catch',
			'garland-squat',
			'deep-squat-knee-turn'
		],
		letGo: [
			'wall-quad-lunge in passive',
			'sidelying-quad-hold in passive',
			'fire-log',
			'prone-quad-strap in passive',
			'childs-pose',
			'supine-figure-four in passive',
			'happy-baby in passive'
		]
	},
	{
		purposes: ['end-range lift', 'knee pull'],
		about: 'strength at the end of the way',
		steep: true,
		wake: ['supine-march', 'seated-knee-wipers', 'quadruped-knee-sweep', 'cat-cow'],
		build: [
			'seated-inward-lift in isometric',
			'90-90-sit in isometric > 90-90-fold in dynamic',
			'90-90-press',
			'supine-straight-leg-lift',
			'wide-leg-seated in dynamic',
			'sidelying-rotation-open',
			'fire-hydrant in isometric',
			'90-90-sit in isometric > 90-90-back-knee-lift'
		],
		peak: [
			'90-90-forearm-rotation',
			'90-90-lift-kick-fold',
			'90-90-sit in isometric > 90-90-back-foot-lift in isometric',
			'straddle-leg-lift',
			'high-step-lift in isometric',
			'frog-lift-off in isometric',
			'shoulder-press-balance',
			'firefly'
		],
		letGo: [
			'pigeon-fold in passive',
			'supine-inward-knee-drop',
			'supine-figure-four in passive',
			'supine-butterfly in passive',
			'supine-twist'
		]
	},
	{
		purposes: ['deep flexion', 'sit on the heels', 'hinge with a long back'],
		about: 'deep hips under a long back',
		wake: ['quadruped-hip-circle', 'cat-cow', 'supine-knee-circles', 'child-to-cobra-wave', 'squat-to-fold'],
		build: [
			'kneeling-sit in active',
			'tall-kneel-hinge',
			'wall-half-fold',
			'standing-hinge',
			'garland-squat',
			'90-90-sit in isometric > 90-90-fold in dynamic',
			'wide-knee-child in active',
			'squat-to-fold',
			'single-knee-to-chest in active',
			'low-lunge in active > lizard'
		],
		peak: [
			'squat-to-fold',
			'single-leg-hinge',
			'garland-squat',
			'raised-heel-squat',
			'90-90-lift-kick-fold',
			'crow',
			'lizard'
		],
		letGo: [
			'happy-baby in passive',
			'wide-knee-child in rest',
			'pigeon-fold in passive',
			'knees-to-chest in passive',
			'supine-hamstring-strap in passive',
			'childs-pose',
			'easy-seat-fold in passive'
		]
	},
	{
		purposes: ['hinge with a long back', 'standing up from a seat', 'single-leg strength'],
		about: 'folding from the hip',
		wake: [
			'cat-cow',
			'bridge-lift in dynamic',
			'chair-hinge in dynamic',
			'quadruped-hip-circle',
			'squat-to-fold'
		],
		build: [
			'forearm-dog in active',
			'tall-kneel-hinge',
			'standing-half-lift',
			'standing-hinge',
			'wall-half-fold',
			'downward-dog in active',
			'runner-lunge > pyramid in active',
			'hamstring-slide',
			'90-90-sit in isometric > 90-90-fold in dynamic',
			'head-to-knee in active',
			'supine-hamstring-strap in active',
			'chair-hinge in active'
		],
		peak: [
			'single-leg-hinge',
			'standing-hinge',
			'squat-to-fold',
			'hamstring-slide',
			'chair-sit-to-stand',
			'pyramid in active'
		],
		letGo: [
			'supine-hamstring-strap in passive',
			'wide-leg-seated-fold in passive',
			'head-to-knee in passive',
			'forward-fold in passive',
			'easy-seat-fold in passive',
			'cow-face-fold',
			'knees-to-chest in passive',
			'chair-figure-four in passive'
		]
	},
	{
		purposes: ['sit on the heels', 'deep flexion'],
		about: 'sitting on the heels',
		wake: ['quadruped-hip-circle', 'child-to-cobra-wave', 'cat-cow', 'bridge-lift in dynamic'],
		build: [
			'forearm-dog in active',
			'upward-dog',
			'kneeling-sit in active',
			'tall-kneel-hinge',
			'wide-knee-child in dynamic',
			'half-hero-lunge',
			'cobra',
			'downward-dog in dynamic',
			'wide-knee-child in active',
			'garland-squat'
		],
		peak: [
			'tall-kneel-hinge',
			'kneeling-lean-back in dynamic',
			'kneeling-lean-back in isometric',
			'squat-to-fold',
			'garland-squat'
		],
		letGo: [
			'childs-pose',
			'wide-knee-child in rest',
			'sidelying-quad-hold in passive',
			'prone-quad-strap in passive',
			'supine-cross-quad-catch',
			'supported-bridge in passive'
		]
	},
	{
		purposes: ['turning both ways', 'mid-range control', 'dropped knee'],
		about: 'turning in and turning out',
		wake: [
			'supine-heel-pivot in dynamic',
			'supine-leg-roll',
			'seated-knee-wipers',
			'wide-stance-turn',
			'seated-heel-pivot in dynamic',
			'wall-leg-rotation',
			'chair-turn in dynamic'
		],
		build: [
			'prone-knee-press',
			'chair-figure-four in isometric',
			'seated-inward-lift in dynamic',
			'90-90-sit in isometric > 90-90-back-knee-lift',
			'90-90-sit in isometric > 90-90-twist',
			'90-90-switch',
			'seated-heel-pivot in isometric',
			'chair-turn in isometric',
			'standing-turn-step',
			'sidelying-rotation-low > clam in dynamic',
			'half-kneel-turn-in',
			'reverse-clam in dynamic',
			'low-lunge in active > low-lunge-side-bend',
			'supine-heel-pivot in isometric',
			'90-90-twist-reach',
			'wide-leg-twist-tap'
		],
		peak: [
			'90-90-sit in isometric > 90-90-fold in dynamic > 90-90-back-knee-lift',
			'90-90-switch',
			'pigeon-switch',
			'90-90-press',
			'pigeon-twist in active',
			'half-kneel-turn-in',
			'chair-turn in isometric',
			'prone-windmill in isometric',
			'reverse-clam in isometric',
			'standing-figure-four in dynamic'
		],
		letGo: [
			'supine-inward-knee-drop',
			'supine-figure-four in passive',
			'supine-twist',
			'wall-figure-four',
			'seated-knee-drop-hold in passive',
			'pigeon-fold in passive',
			'supine-outward-knee-open'
		]
	},
	{
		purposes: ['standing up from a seat', 'getting down and up', 'balance with support'],
		about: 'up and down with ease',
		wake: [
			'bridge-lift in dynamic',
			'chair-hinge in dynamic',
			'supine-march',
			'chair-knee-lift',
			'wide-stance-sway',
			'cat-cow'
		],
		build: [
			'chair-figure-four in active',
			'tall-kneel-hinge',
			'standing-hinge',
			'heel-drag-chair in isometric',
			'chair-knee-lift',
			'wall-sit',
			'standing-leg-back in dynamic',
			'calf-raise in dynamic',
			'wall-lunge',
			'chair-turn in dynamic',
			'standing-knee-hold in active',
			'standing-side-lift in dynamic'
		],
		peak: [
			'chair-sit-to-stand',
			'goddess-squat in dynamic',
			'wall-sit',
			'single-leg-squat',
			'split-squat',
			'goddess-squat in isometric',
			'heel-drag-chair in dynamic'
		],
		letGo: [
			'chair-figure-four in passive',
			'chair-inner-thigh in passive',
			'supine-figure-four in passive',
			'knees-to-chest in passive',
			'standing-quad-hold in passive',
			'legs-on-chair',
			'supine-twist'
		]
	},
	{
		purposes: ['getting down and up', 'floor sitting', 'balance with support'],
		about: 'down to the floor and up again',
		wake: [
			'supine-knee-rock',
			'bridge-lift in dynamic',
			'cat-cow',
			'quadruped-hip-circle',
			'seated-knee-wipers'
		],
		build: [
			'tall-kneel-hinge',
			'kneeling-sit in active',
			'bird-reach in dynamic',
			'low-lunge in active',
			'wall-lunge',
			'standing-leg-back in dynamic',
			'chair-sit-to-stand',
			'low-lunge in active > runner-lunge',
			'garland-squat',
			'half-kneel-turn-in',
			'wide-stance-sway'
		],
		peak: [
			'floor-to-standing',
			'chair-sit-to-stand',
			'no-hands-seat-switch',
			'goddess-squat in isometric',
			'split-squat',
			'pigeon-to-stand',
			'lizard-crawl'
		],
		letGo: [
			'supine-figure-four in passive',
			'supine-butterfly in passive',
			'knees-to-chest in passive',
			'supine-twist',
			'butterfly in passive',
			'childs-pose'
		]
	},
	{
		purposes: ['floor sitting', 'turning both ways', 'adductors at length'],
		about: 'at home on the floor',
		wake: [
			'seated-knee-wipers',
			'supine-knee-rock',
			'straight-leg-wipers',
			'cat-cow',
			'supine-heel-pivot in dynamic'
		],
		build: [
			'easy-seat in active',
			'easy-seat-arms-up',
			'side-sit-reach',
			'seated-inward-lift in dynamic',
			'butterfly in active',
			'seated-figure-four',
			'90-90-sit in isometric > 90-90-twist',
			'chair-figure-four-press in isometric',
			'clam in dynamic',
			'90-90-switch',
			'cow-face-side-bend in active',
			'90-90-sit in isometric',
			'leg-cradle'
		],
		peak: [
			'90-90-switch',
			'no-hands-seat-switch',
			'90-90-press',
			'90-90-sit in isometric > 90-90-back-knee-lift',
			'floor-to-standing',
			'bridge-lift in dynamic',
			'seated-inward-lift in isometric'
		],
		letGo: [
			'butterfly-fold in passive',
			'supine-figure-four in passive',
			'cow-face-fold',
			'easy-seat-fold in passive',
			'butterfly-side-fold in passive',
			'supine-butterfly in passive',
			'fire-log',
			'seated-knee-drop-hold in passive'
		]
	},
	{
		purposes: ['balance with support', 'level pelvis', 'push-off'],
		about: 'a steady standing leg',
		wake: [
			'calf-raise in dynamic',
			'wide-stance-sway',
			'standing-push-off-drill',
			'bridge-lift in dynamic',
			'wide-stance-turn'
		],
		build: [
			'standing-leg-back in dynamic',
			'standing-side-lift in dynamic',
			'standing-knee-hold in active',
			'standing-turn-step',
			'standing-hip-circle',
			'wall-half-fold',
			'wall-side-push',
			'wall-lunge',
			'standing-knee-hold in active > standing-side-lift in dynamic',
			'wall-plank in active'
		],
		peak: [
			'hip-hike',
			'calf-raise in isometric',
			'standing-figure-four in active',
			'chair-sit-to-stand',
			'goddess-squat in isometric',
			'standing-side-lift in isometric',
			'split-squat',
			'turned-out-stance-lift in dynamic'
		],
		letGo: [
			'chair-figure-four in active',
			'supine-figure-four in passive',
			'standing-quad-hold in passive',
			'supine-twist',
			'chair-figure-four in passive',
			'knees-to-chest in passive'
		]
	},
	{
		purposes: ['mid-range control', 'level pelvis', 'single-leg strength'],
		about: 'control in the middle of the way',
		wake: [
			'seated-heel-pivot in dynamic',
			'cat-cow',
			'supine-march',
			'supine-leg-roll',
			'bird-reach in dynamic',
			'seated-knee-wipers'
		],
		build: [
			'forearm-dog in active',
			'prone-knee-press',
			'clam in dynamic > sidelying-rotation-low > sidelying-parallel-lift in dynamic',
			'reverse-clam in dynamic',
			'bridge-lift in isometric',
			'bird-reach in isometric',
			'quadruped-foot-swing',
			'fire-hydrant in dynamic',
			'forearm-dog in isometric',
			'supine-block-squeeze',
			'side-plank-knee-down in isometric',
			'90-90-press',
			'plank',
			'standing-hinge',
			'standing-side-lift in isometric',
			'sidelying-top-knee-press'
		],
		peak: [
			'single-leg-hinge',
			'split-squat',
			'goddess-squat in isometric',
			'hip-hike',
			'single-leg-bridge in isometric',
			'side-plank-knee-down in dynamic',
			'plank',
			'locust in isometric',
			'crow'
		],
		letGo: [
			'supine-twist',
			'supine-figure-four in passive',
			'supine-inward-knee-drop',
			'supine-knee-out in passive',
			'childs-pose',
			'knees-to-chest in passive'
		]
	},
	{
		purposes: ['knee pull', 'hip extension under the trunk', 'mid-range control'],
		about: 'the knee pulled up, the front long',
		wake: [
			'supine-march',
			'bridge-lift in dynamic',
			'quadruped-knee-sweep',
			'cat-cow',
			'standing-hip-circle'
		],
		build: [
			'supine-straight-leg-lift',
			'low-lunge in active > low-lunge-knee-lift in isometric',
			'standing-knee-hold in active',
			'three-leg-dog > low-lunge in active',
			'three-leg-dog-circle',
			'single-knee-to-chest in active',
			'low-lunge in active > runner-lunge'
		],
		peak: [
			'high-step-lift in dynamic',
			'standing-knee-hold in isometric',
			'straddle-leg-lift',
			'supine-straight-leg-lift',
			'plank',
			'90-90-lift-kick-fold'
		],
		letGo: [
			'block-bridge-knee-in in passive',
			'supported-bridge in passive',
			'sidelying-quad-hold in passive',
			'supine-twist',
			'supine-figure-four in passive'
		]
	},
	{
		purposes: ['hip extension under the trunk', 'turned-out squat', 'reset'],
		about: 'waves for the front and the side of the hip',
		wake: ['cat-cow', 'quadruped-hip-circle', 'child-to-cobra-wave', 'quadruped-knee-sweep'],
		build: [
			'child-to-cobra-wave | downward-dog in dynamic',
			'low-lunge in dynamic | downward-dog in dynamic | child-to-cobra-wave',
			'low-lunge in active > low-lunge-knee-lift in isometric > runner-lunge',
			'low-lunge in dynamic | runner-lunge | downward-dog in dynamic',
			'warrior-2 in active > reverse-warrior > warrior-2-straighten',
			'down-dog-hip-drop in dynamic',
			'upward-dog',
			'warrior-2 in active > triangle in active'
		],
		peak: [
			'low-lunge in active > runner-lunge > split-squat',
			'goddess-squat in isometric',
			'warrior-2 in isometric > triangle-lunge-pulse in dynamic',
			'warrior-2 in active > triangle in active > triangle-lunge-pulse in active',
			'split-squat'
		],
		letGo: [
			'pigeon-upright in passive > pigeon-fold in passive',
			'supine-figure-four in passive',
			'supine-twist',
			'sidelying-quad-hold in passive',
			'supine-butterfly in passive'
		]
	},
	{
		purposes: ['hip extension under the trunk', 'deep flexion', 'adductors at length'],
		about: 'long holds from all sides',
		quiet: true,
		wake: [
			'supine-knee-rock',
			'cat-cow',
			'supine-heel-pivot in dynamic',
			'quadruped-hip-circle',
			'supine-knee-circles'
		],
		build: [
			'butterfly-fold in passive',
			'sphinx in passive',
			'wide-knee-child in rest',
			'supine-figure-four in passive',
			'prone-half-frog in passive',
			'straddle-side-lean',
			'clam in dynamic',
			'low-lunge in passive',
			'cow-face-fold'
		],
		peak: [
			'bridge-lift in dynamic',
			'low-lunge in active',
			'goddess-squat in isometric',
			'locust in isometric',
			'side-plank-knee-down in isometric'
		],
		letGo: [
			'pigeon-fold in passive',
			'frog in passive',
			'supine-butterfly in passive',
			'supine-inward-knee-drop',
			'supine-twist',
			'supine-hamstring-strap in passive',
			'wall-straddle',
			'block-bridge-long-legs'
		]
	},
	{
		purposes: ['turning both ways', 'floor sitting', 'hinge with a long back'],
		about: 'long holds for the seat and both turns',
		quiet: true,
		wake: ['supine-leg-roll', 'seated-knee-wipers', 'cat-cow', 'supine-knee-rock', 'straight-leg-wipers'],
		build: [
			'supine-inward-knee-drop',
			'supine-figure-four in passive',
			'90-90-sit in passive',
			'fire-log',
			'seated-knee-drop-hold in passive',
			'easy-seat-fold in passive',
			'sidelying-rotation-low',
			'head-to-knee in passive',
			'wide-leg-seated-fold in passive'
		],
		peak: [
			'bridge-lift in dynamic',
			'90-90-press',
			'clam in isometric',
			'prone-windmill in isometric',
			'standing-hinge',
			'seated-inward-lift in isometric'
		],
		letGo: [
			'pigeon-fold in passive',
			'supine-twist',
			'supine-hamstring-strap in passive',
			'supine-butterfly in passive',
			'wall-figure-four',
			'supine-leg-across-strap in passive',
			'legs-on-chair'
		]
	}
];

/** Openers that suit any class, and what lets go at the end of any. */
export const ANY_WAKE: readonly string[] = [
	'cat-cow',
	'supine-knee-rock',
	'supine-heel-pivot in dynamic',
	'supine-knee-circles',
	'quadruped-hip-circle',
	'wide-stance-sway',
	'standing-hip-circle',
	'supine-leg-roll',
	'standing-push-off-drill',
	'chair-turn in dynamic'
];
export const ANY_LET_GO: readonly string[] = [
	'supine-inward-knee-drop',
	'supine-figure-four in passive',
	'supine-twist',
	'supine-knee-rock',
	'wide-stance-sway',
	'standing-hip-circle',
	'standing-push-off-drill',
	'calf-raise in dynamic',
	'standing-half-lift',
	'wide-stance-turn',
	'chair-turn in dynamic',
	'chair-figure-four in active',
	'standing-leg-back in dynamic',
	'full-body-stretch'
];
