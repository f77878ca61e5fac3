CREATE TABLE `teaching` (
	`id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin,
	`plan_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`script` json NOT NULL,
	`received_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `teaching_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `teaching_event` (
	`teaching_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`event_id` varchar(40) COLLATE utf8mb4_nopad_bin NOT NULL,
	`place` int NOT NULL,
	`event` json NOT NULL,
	`received_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `teaching_event_teaching_id_event_id_pk` PRIMARY KEY(`teaching_id`,`event_id`)
);
--> statement-breakpoint
ALTER TABLE `teaching` ADD CONSTRAINT `teaching_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching` ADD CONSTRAINT `teaching_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching` ADD CONSTRAINT `teaching_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching_event` ADD CONSTRAINT `teaching_event_teaching_id_teaching_id_fk` FOREIGN KEY (`teaching_id`) REFERENCES `teaching`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `teaching_plan` ON `teaching` (`studio_id`,`plan_id`);