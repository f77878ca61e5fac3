CREATE TABLE `check_in` (
	`id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	`student_id` varchar(24) COLLATE utf8mb4_nopad_bin,
	`taken_on` date NOT NULL,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `check_in_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `studio` ADD `keep_years` int DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE `check_in` ADD CONSTRAINT `check_in_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_in` ADD CONSTRAINT `check_in_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_in` ADD CONSTRAINT `check_in_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_in` ADD CONSTRAINT `check_in_student_id_student_id_fk` FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `check_in_group` ON `check_in` (`studio_id`,`group_id`,`taken_on`);--> statement-breakpoint
CREATE INDEX `check_in_student` ON `check_in` (`student_id`);