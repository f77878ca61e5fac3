CREATE TABLE `left_out` (
	`studio_id` varchar(24) NOT NULL,
	`slug` varchar(60) NOT NULL,
	CONSTRAINT `left_out_studio_id_slug_pk` PRIMARY KEY(`studio_id`,`slug`)
);
--> statement-breakpoint
CREATE TABLE `movement_state` (
	`scope` varchar(24) NOT NULL,
	`fingerprint` varchar(16) NOT NULL,
	`slug` varchar(60) NOT NULL,
	`document` json NOT NULL,
	CONSTRAINT `movement_state_scope_fingerprint_pk` PRIMARY KEY(`scope`,`fingerprint`)
);
--> statement-breakpoint
CREATE TABLE `own_movement` (
	`studio_id` varchar(24) NOT NULL,
	`slug` varchar(60) NOT NULL,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `own_movement_studio_id_slug_pk` PRIMARY KEY(`studio_id`,`slug`)
);
--> statement-breakpoint
CREATE TABLE `student` (
	`id` varchar(24) NOT NULL,
	`studio_id` varchar(24) NOT NULL,
	`group_id` varchar(24) NOT NULL,
	`teacher_id` varchar(36) NOT NULL,
	`document` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `student_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `teacher_style` (
	`teacher_id` varchar(36) NOT NULL,
	`choices` json NOT NULL,
	`pace` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` timestamp(3) NOT NULL DEFAULT (now()) ON UPDATE CURRENT_TIMESTAMP,
	CONSTRAINT `teacher_style_teacher_id` PRIMARY KEY(`teacher_id`)
);
--> statement-breakpoint
ALTER TABLE `left_out` ADD CONSTRAINT `left_out_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `own_movement` ADD CONSTRAINT `own_movement_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `student` ADD CONSTRAINT `student_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `student` ADD CONSTRAINT `student_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `student` ADD CONSTRAINT `student_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teacher_style` ADD CONSTRAINT `teacher_style_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `student_group` ON `student` (`group_id`,`teacher_id`);