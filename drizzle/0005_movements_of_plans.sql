CREATE TABLE `plan_movement` (
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`plan_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`slug` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL,
	CONSTRAINT `plan_movement_studio_id_plan_id_slug_pk` PRIMARY KEY(`studio_id`,`plan_id`,`slug`)
);
--> statement-breakpoint
ALTER TABLE `plan_movement` ADD CONSTRAINT `plan_movement_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plan_movement` ADD CONSTRAINT `plan_movement_plan` FOREIGN KEY (`studio_id`,`plan_id`) REFERENCES `plan`(`studio_id`,`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- what plans hold so far: every "movement" of a document, wherever it stands in it
INSERT IGNORE INTO `plan_movement` (`studio_id`, `plan_id`, `slug`)
	SELECT `plan`.`studio_id`, `plan`.`id`, `named`.`slug`
	FROM `plan`,
		JSON_TABLE(
			JSON_EXTRACT(`plan`.`document`, '$.sections[*].blocks[*].movement', '$.sections[*].blocks[*].items[*].movement'),
			'$[*]' COLUMNS (`slug` varchar(60) PATH '$')
		) AS `named`
	WHERE `named`.`slug` IS NOT NULL;
