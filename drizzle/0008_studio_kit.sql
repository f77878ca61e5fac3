CREATE TABLE `studio_kit` (
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`kind` varchar(24) NOT NULL,
	`count` int NOT NULL,
	CONSTRAINT `studio_kit_studio_id_kind_pk` PRIMARY KEY(`studio_id`,`kind`)
);
--> statement-breakpoint
ALTER TABLE `studio` ADD `version` int DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `updated_at` timestamp(3) DEFAULT (now()) NOT NULL ON UPDATE CURRENT_TIMESTAMP;--> statement-breakpoint
ALTER TABLE `studio_kit` ADD CONSTRAINT `studio_kit_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
INSERT INTO `studio_kit` (`studio_id`, `kind`, `count`)
	SELECT `class_group`.`studio_id`, `group_kit`.`kind`, max(`group_kit`.`count`)
	FROM `group_kit` JOIN `class_group` ON `class_group`.`id` = `group_kit`.`group_id`
	GROUP BY `class_group`.`studio_id`, `group_kit`.`kind`
	ON DUPLICATE KEY UPDATE `count` = `studio_kit`.`count`;
