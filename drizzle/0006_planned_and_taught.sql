CREATE TABLE `class_run` (
	`id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin,
	`plan_id` varchar(24) COLLATE utf8mb4_nopad_bin,
	`title` varchar(200) NOT NULL,
	`taught_on` date NOT NULL,
	`starts_at` varchar(5) NOT NULL,
	`started_at` datetime(3),
	`ended_at` datetime(3),
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `class_run_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `run_movement` (
	`run_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`slug` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL,
	CONSTRAINT `run_movement_run_id_slug_pk` PRIMARY KEY(`run_id`,`slug`)
);
--> statement-breakpoint
ALTER TABLE `plan` RENAME COLUMN `taught_on` TO `planned_on`;--> statement-breakpoint
ALTER TABLE `class_run` ADD CONSTRAINT `class_run_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `class_run` ADD CONSTRAINT `class_run_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `class_run` ADD CONSTRAINT `class_run_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `run_movement` ADD CONSTRAINT `run_movement_run_id_class_run_id_fk` FOREIGN KEY (`run_id`) REFERENCES `class_run`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `class_run_group` ON `class_run` (`studio_id`,`group_id`,`taught_on`);--> statement-breakpoint
CREATE INDEX `class_run_plan` ON `class_run` (`studio_id`,`plan_id`);--> statement-breakpoint
-- how classes of series went, which was written down within their series so far
INSERT IGNORE INTO `class_run`
	(`id`, `studio_id`, `group_id`, `teacher_id`, `plan_id`, `title`, `taught_on`, `starts_at`, `document`)
	SELECT
		LEFT(MD5(CONCAT(`s`.`studio_id`, '/', `c`.`id`)), 24),
		`s`.`studio_id`,
		`s`.`group_id`,
		(SELECT MAX(`teacher_id`) FROM `membership` WHERE `membership`.`studio_id` = `s`.`studio_id` HAVING COUNT(*) = 1),
		`c`.`id`,
		COALESCE(`plan`.`title`, CONCAT(`s`.`title`, ', class ', `c`.`number`)),
		`c`.`day`,
		`c`.`starts_at`,
		JSON_OBJECT(
			'version', 1,
			'effort', JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.effort'),
			'minutes', JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.minutes'),
			'attendance', NULL,
			'leftOut', JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.leftOut'),
			'note', JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.note')
		)
	FROM `series` AS `s`
	JOIN JSON_TABLE(
		`s`.`document`,
		'$.classes[*]' COLUMNS (
			`number` FOR ORDINALITY,
			`id` varchar(24) PATH '$.id',
			`day` varchar(10) PATH '$.on',
			`starts_at` varchar(5) PATH '$.startsAt'
		)
	) AS `c`
	LEFT JOIN `plan` ON `plan`.`studio_id` = `s`.`studio_id` AND `plan`.`id` = `c`.`id` COLLATE utf8mb4_nopad_bin
	WHERE JSON_EXTRACT(`s`.`document`, CONCAT('$.classes[', `c`.`number` - 1, '].run')) IS NOT NULL;--> statement-breakpoint
-- the same of series that were removed and may be brought back
INSERT IGNORE INTO `class_run`
	(`id`, `studio_id`, `group_id`, `teacher_id`, `plan_id`, `title`, `taught_on`, `starts_at`, `document`)
	SELECT
		LEFT(MD5(CONCAT(`s`.`studio_id`, '/', `c`.`id`)), 24),
		`s`.`studio_id`,
		`class_group`.`id`,
		(SELECT MAX(`teacher_id`) FROM `membership` WHERE `membership`.`studio_id` = `s`.`studio_id` HAVING COUNT(*) = 1),
		`c`.`id`,
		COALESCE(`plan`.`title`, CONCAT(JSON_VALUE(`s`.`document`, '$.title'), ', class ', `c`.`number`)),
		`c`.`day`,
		`c`.`starts_at`,
		JSON_OBJECT(
			'version', 1,
			'effort', JSON_EXTRACT(JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, '$.row.document'), CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.effort'),
			'minutes', JSON_EXTRACT(JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, '$.row.document'), CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.minutes'),
			'attendance', NULL,
			'leftOut', JSON_EXTRACT(JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, '$.row.document'), CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.leftOut'),
			'note', JSON_EXTRACT(JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, '$.row.document'), CONCAT('$.classes[', `c`.`number` - 1, '].run')), '$.note')
		)
	FROM `removed` AS `s`
	JOIN `class_group` ON `class_group`.`studio_id` = `s`.`studio_id`
		AND `class_group`.`id` = JSON_VALUE(`s`.`document`, '$.row.groupId') COLLATE utf8mb4_nopad_bin
	JOIN JSON_TABLE(
		JSON_EXTRACT(`s`.`document`, '$.row.document'),
		'$.classes[*]' COLUMNS (
			`number` FOR ORDINALITY,
			`id` varchar(24) PATH '$.id',
			`day` varchar(10) PATH '$.on',
			`starts_at` varchar(5) PATH '$.startsAt'
		)
	) AS `c`
	LEFT JOIN `plan` ON `plan`.`studio_id` = `s`.`studio_id` AND `plan`.`id` = `c`.`id` COLLATE utf8mb4_nopad_bin
	WHERE JSON_EXTRACT(JSON_EXTRACT(`s`.`document`, '$.row.document'), CONCAT('$.classes[', `c`.`number` - 1, '].run')) IS NOT NULL
		AND `s`.`kind` = 'series';--> statement-breakpoint
-- a class that was removed and may be brought back has a planned day too
UPDATE `removed`
	SET `document` = JSON_REMOVE(JSON_SET(`document`, '$.plannedOn', JSON_EXTRACT(`document`, '$.taughtOn')), '$.taughtOn'),
		`removed_at` = `removed_at`
	WHERE `kind` = 'plan' AND JSON_EXISTS(`document`, '$.taughtOn');--> statement-breakpoint
INSERT IGNORE INTO `run_movement` (`run_id`, `slug`)
	SELECT `class_run`.`id`, `plan_movement`.`slug`
	FROM `class_run`
	JOIN `plan_movement` ON `plan_movement`.`studio_id` = `class_run`.`studio_id` AND `plan_movement`.`plan_id` = `class_run`.`plan_id`
	WHERE NOT JSON_CONTAINS(`class_run`.`document`, JSON_QUOTE(`plan_movement`.`slug`), '$.leftOut');--> statement-breakpoint
-- a class keeps the figures that were set for it; those that it was only given from its teacher are looked up from now on
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.talk'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.talk') = JSON_VALUE(`teacher_style`.`pace`, '$.talk');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.heldBreathSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.heldBreathSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.heldBreathSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.movingBreathSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.movingBreathSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.movingBreathSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.countSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.countSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.countSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.setUpSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.setUpSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.setUpSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.changeSidesSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.changeSidesSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.changeSidesSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.changeSidesWithPropSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.changeSidesWithPropSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.changeSidesWithPropSeconds');--> statement-breakpoint
UPDATE `plan`
	JOIN `membership` ON `membership`.`studio_id` = `plan`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `plan`.`document` = JSON_REMOVE(`plan`.`document`, '$.pace.moveSeconds'), `plan`.`updated_at` = `plan`.`updated_at`
	WHERE JSON_VALUE(`plan`.`document`, '$.pace.moveSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.moveSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.talk'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.talk') = JSON_VALUE(`teacher_style`.`pace`, '$.talk');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.heldBreathSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.heldBreathSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.heldBreathSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.movingBreathSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.movingBreathSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.movingBreathSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.countSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.countSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.countSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.setUpSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.setUpSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.setUpSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.changeSidesSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.changeSidesSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.changeSidesSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.changeSidesWithPropSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.changeSidesWithPropSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.changeSidesWithPropSeconds');--> statement-breakpoint
UPDATE `template`
	JOIN `membership` ON `membership`.`studio_id` = `template`.`studio_id`
	JOIN `teacher_style` ON `teacher_style`.`teacher_id` = `membership`.`teacher_id`
	SET `template`.`document` = JSON_REMOVE(`template`.`document`, '$.pace.moveSeconds'), `template`.`updated_at` = `template`.`updated_at`
	WHERE JSON_VALUE(`template`.`document`, '$.pace.moveSeconds') = JSON_VALUE(`teacher_style`.`pace`, '$.moveSeconds');
