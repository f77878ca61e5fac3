-- a column of a foreign key cannot change while the key is there: the keys go, and come back at the end
ALTER TABLE `class_group`
	DROP FOREIGN KEY `class_group_studio_id_studio_id_fk`;
--> statement-breakpoint
ALTER TABLE `group_kit`
	DROP FOREIGN KEY `group_kit_group_id_class_group_id_fk`;
--> statement-breakpoint
ALTER TABLE `membership`
	DROP FOREIGN KEY `membership_studio_id_studio_id_fk`,
	DROP FOREIGN KEY `membership_teacher_id_teacher_id_fk`;
--> statement-breakpoint
ALTER TABLE `plan`
	DROP FOREIGN KEY `plan_studio_id_studio_id_fk`,
	DROP FOREIGN KEY `plan_group_id_class_group_id_fk`,
	DROP FOREIGN KEY `plan_series_id_series_id_fk`;
--> statement-breakpoint
ALTER TABLE `account`
	DROP FOREIGN KEY `account_teacher_id_teacher_id_fk`;
--> statement-breakpoint
ALTER TABLE `session`
	DROP FOREIGN KEY `session_teacher_id_teacher_id_fk`;
--> statement-breakpoint
ALTER TABLE `left_out`
	DROP FOREIGN KEY `left_out_studio_id_studio_id_fk`;
--> statement-breakpoint
ALTER TABLE `own_movement`
	DROP FOREIGN KEY `own_movement_studio_id_studio_id_fk`;
--> statement-breakpoint
ALTER TABLE `student`
	DROP FOREIGN KEY `student_studio_id_studio_id_fk`,
	DROP FOREIGN KEY `student_group_id_class_group_id_fk`,
	DROP FOREIGN KEY `student_teacher_id_teacher_id_fk`;
--> statement-breakpoint
ALTER TABLE `teacher_style`
	DROP FOREIGN KEY `teacher_style_teacher_id_teacher_id_fk`;
--> statement-breakpoint
ALTER TABLE `template`
	DROP FOREIGN KEY `template_studio_id_studio_id_fk`;
--> statement-breakpoint
ALTER TABLE `series`
	DROP FOREIGN KEY `series_studio_id_studio_id_fk`,
	DROP FOREIGN KEY `series_group_id_class_group_id_fk`;
--> statement-breakpoint
ALTER TABLE `class_group`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `group_kit`
	MODIFY COLUMN `group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `left_out`
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `slug` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `membership`
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `movement_state`
	MODIFY COLUMN `scope` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `fingerprint` varchar(16) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `slug` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `own_movement`
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `slug` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `plan`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `series_id` varchar(24) COLLATE utf8mb4_nopad_bin,
	DROP PRIMARY KEY,
	ADD PRIMARY KEY(`studio_id`,`id`);
--> statement-breakpoint
ALTER TABLE `series`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `link_hash` varchar(64) COLLATE utf8mb4_nopad_bin;
--> statement-breakpoint
ALTER TABLE `student`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `group_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `studio`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `teacher_style`
	MODIFY COLUMN `teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `template`
	MODIFY COLUMN `id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `account`
	MODIFY COLUMN `id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `account_id` varchar(255) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `rate_limit`
	MODIFY COLUMN `id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `key` varchar(255) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `session`
	MODIFY COLUMN `id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `token` varchar(255) COLLATE utf8mb4_nopad_bin NOT NULL,
	MODIFY COLUMN `teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `teacher`
	MODIFY COLUMN `id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `verification`
	MODIFY COLUMN `id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL;
--> statement-breakpoint
ALTER TABLE `class_group`
	ADD CONSTRAINT `class_group_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `group_kit`
	ADD CONSTRAINT `group_kit_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `membership`
	ADD CONSTRAINT `membership_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `membership_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `plan`
	ADD CONSTRAINT `plan_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `plan_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `plan_series_id_series_id_fk` FOREIGN KEY (`series_id`) REFERENCES `series`(`id`) ON DELETE set null ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `account`
	ADD CONSTRAINT `account_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `session`
	ADD CONSTRAINT `session_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `left_out`
	ADD CONSTRAINT `left_out_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `own_movement`
	ADD CONSTRAINT `own_movement_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `student`
	ADD CONSTRAINT `student_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `student_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `student_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `teacher_style`
	ADD CONSTRAINT `teacher_style_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `template`
	ADD CONSTRAINT `template_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `series`
	ADD CONSTRAINT `series_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action,
	ADD CONSTRAINT `series_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
CREATE TABLE `accepted` (
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`token` varchar(40) COLLATE utf8mb4_nopad_bin NOT NULL,
	`answer` text NOT NULL,
	`accepted_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `accepted_studio_id_token_pk` PRIMARY KEY(`studio_id`,`token`)
);
--> statement-breakpoint
CREATE TABLE `removed` (
	`studio_id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`kind` varchar(10) NOT NULL,
	`id` varchar(24) COLLATE utf8mb4_nopad_bin NOT NULL,
	`document` json NOT NULL,
	`removed_at` timestamp(3) NOT NULL DEFAULT (now()),
	CONSTRAINT `removed_studio_id_kind_id_pk` PRIMARY KEY(`studio_id`,`kind`,`id`)
);
--> statement-breakpoint
CREATE TABLE `sign_in_failure` (
	`account_hash` varchar(64) COLLATE utf8mb4_nopad_bin NOT NULL,
	`failures` int NOT NULL,
	`last_at` timestamp(3) NOT NULL,
	CONSTRAINT `sign_in_failure_account_hash` PRIMARY KEY(`account_hash`)
);
--> statement-breakpoint
ALTER TABLE `accepted` ADD CONSTRAINT `accepted_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE `removed` ADD CONSTRAINT `removed_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX `accepted_at` ON `accepted` (`accepted_at`);
--> statement-breakpoint
CREATE INDEX `removed_at` ON `removed` (`removed_at`);
