CREATE TABLE `series` (
	`id` varchar(24) NOT NULL,
	`studio_id` varchar(24) NOT NULL,
	`group_id` varchar(24) NOT NULL,
	`title` varchar(120) NOT NULL,
	`starts_on` date NOT NULL,
	`document` json NOT NULL,
	`link_hash` varchar(64),
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `series_id` PRIMARY KEY(`id`),
	CONSTRAINT `series_link_hash_unique` UNIQUE(`link_hash`)
);
--> statement-breakpoint
ALTER TABLE `plan` ADD `series_id` varchar(24);--> statement-breakpoint
ALTER TABLE `series` ADD CONSTRAINT `series_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `series` ADD CONSTRAINT `series_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `series_studio` ON `series` (`studio_id`,`starts_on`);--> statement-breakpoint
CREATE INDEX `series_group` ON `series` (`group_id`);--> statement-breakpoint
ALTER TABLE `plan` ADD CONSTRAINT `plan_series_id_series_id_fk` FOREIGN KEY (`series_id`) REFERENCES `series`(`id`) ON DELETE set null ON UPDATE no action;