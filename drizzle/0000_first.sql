CREATE TABLE `class_group` (
	`id` varchar(24) NOT NULL,
	`studio_id` varchar(24) NOT NULL,
	`name` varchar(80) NOT NULL,
	`weekday` int NOT NULL,
	`starts_at` varchar(5) NOT NULL,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `class_group_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `group_kit` (
	`group_id` varchar(24) NOT NULL,
	`kind` varchar(24) NOT NULL,
	`count` int NOT NULL,
	CONSTRAINT `group_kit_group_id_kind_pk` PRIMARY KEY(`group_id`,`kind`)
);
--> statement-breakpoint
CREATE TABLE `membership` (
	`studio_id` varchar(24) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	CONSTRAINT `membership_studio_id_teacher_id_pk` PRIMARY KEY(`studio_id`,`teacher_id`)
);
--> statement-breakpoint
CREATE TABLE `plan` (
	`id` varchar(24) NOT NULL,
	`studio_id` varchar(24) NOT NULL,
	`group_id` varchar(24) NOT NULL,
	`title` varchar(200) NOT NULL,
	`length_seconds` int NOT NULL,
	`taught_on` date,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `plan_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `studio` (
	`id` varchar(24) NOT NULL,
	`name` varchar(120) NOT NULL,
	`time_zone` varchar(64) NOT NULL,
	CONSTRAINT `studio_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `account` (
	`id` varchar(36) NOT NULL,
	`account_id` varchar(255) NOT NULL,
	`provider_id` varchar(64) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` timestamp(3),
	`refresh_token_expires_at` timestamp(3),
	`scope` text,
	`password` text,
	`created_at` timestamp(3) NOT NULL DEFAULT (now()),
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `account_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `rate_limit` (
	`id` varchar(36) NOT NULL,
	`key` varchar(255) NOT NULL,
	`count` int NOT NULL,
	`last_request` bigint NOT NULL,
	CONSTRAINT `rate_limit_id` PRIMARY KEY(`id`),
	CONSTRAINT `rate_limit_key_unique` UNIQUE(`key`)
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` varchar(36) NOT NULL,
	`token` varchar(255) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`expires_at` timestamp(3) NOT NULL,
	`ip_address` varchar(64),
	`user_agent` text,
	`created_at` timestamp(3) NOT NULL DEFAULT (now()),
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `session_id` PRIMARY KEY(`id`),
	CONSTRAINT `session_token_unique` UNIQUE(`token`)
);
--> statement-breakpoint
CREATE TABLE `teacher` (
	`id` varchar(36) NOT NULL,
	`name` varchar(120) NOT NULL,
	`email` varchar(254) NOT NULL,
	`email_verified` boolean NOT NULL DEFAULT false,
	`image` text,
	`created_at` timestamp(3) NOT NULL DEFAULT (now()),
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `teacher_id` PRIMARY KEY(`id`),
	CONSTRAINT `teacher_email_unique` UNIQUE(`email`)
);
--> statement-breakpoint
CREATE TABLE `verification` (
	`id` varchar(36) NOT NULL,
	`identifier` varchar(255) NOT NULL,
	`value` text NOT NULL,
	`expires_at` timestamp(3) NOT NULL,
	`created_at` timestamp(3) NOT NULL DEFAULT (now()),
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `verification_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `class_group` ADD CONSTRAINT `class_group_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `group_kit` ADD CONSTRAINT `group_kit_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `membership` ADD CONSTRAINT `membership_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `membership` ADD CONSTRAINT `membership_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plan` ADD CONSTRAINT `plan_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `plan` ADD CONSTRAINT `plan_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `account` ADD CONSTRAINT `account_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `session` ADD CONSTRAINT `session_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `class_group_studio` ON `class_group` (`studio_id`);--> statement-breakpoint
CREATE INDEX `plan_studio_day` ON `plan` (`studio_id`,`taught_on`);--> statement-breakpoint
CREATE INDEX `plan_group` ON `plan` (`group_id`);--> statement-breakpoint
CREATE INDEX `account_teacher` ON `account` (`teacher_id`);--> statement-breakpoint
CREATE INDEX `session_teacher` ON `session` (`teacher_id`);