CREATE TABLE `template` (
	`id` varchar(24) NOT NULL,
	`studio_id` varchar(24) NOT NULL,
	`title` varchar(200) NOT NULL,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `template_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `template` ADD CONSTRAINT `template_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `template_studio` ON `template` (`studio_id`);