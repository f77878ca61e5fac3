CREATE TABLE `silenced_check` (
	`teacher_id` varchar(36) COLLATE utf8mb4_nopad_bin NOT NULL,
	`check_id` varchar(60) COLLATE utf8mb4_nopad_bin NOT NULL,
	`reason` varchar(300) NOT NULL,
	CONSTRAINT `silenced_check_teacher_id_check_id_pk` PRIMARY KEY(`teacher_id`,`check_id`)
);
--> statement-breakpoint
ALTER TABLE `silenced_check` ADD CONSTRAINT `silenced_check_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE cascade ON UPDATE no action;