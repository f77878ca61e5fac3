CREATE TABLE `taught_time` (
	`run_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	`taught_on` date NOT NULL,
	`document` json NOT NULL,
	`learned_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `taught_time_run_id` PRIMARY KEY(`run_id`)
);
--> statement-breakpoint
ALTER TABLE `taught_time` ADD CONSTRAINT `taught_time_run_id_class_run_id_fk` FOREIGN KEY (`run_id`) REFERENCES `class_run`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `taught_time` ADD CONSTRAINT `taught_time_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `taught_time_teacher` ON `taught_time` (`teacher_id`,`taught_on`);