ALTER TABLE `class_run` RENAME TO `class_record`;--> statement-breakpoint
ALTER TABLE `run_movement` RENAME TO `record_movement`;--> statement-breakpoint
ALTER TABLE `teaching` RENAME TO `teaching_session`;--> statement-breakpoint
ALTER TABLE `record_movement` RENAME COLUMN `run_id` TO `record_id`;--> statement-breakpoint
ALTER TABLE `taught_time` RENAME COLUMN `run_id` TO `record_id`;--> statement-breakpoint
ALTER TABLE `teaching_event` RENAME COLUMN `teaching_id` TO `session_id`;--> statement-breakpoint
ALTER TABLE `class_record` RENAME INDEX `class_run_group` TO `class_record_group`;--> statement-breakpoint
ALTER TABLE `class_record` RENAME INDEX `class_run_plan` TO `class_record_plan`;--> statement-breakpoint
ALTER TABLE `teaching_session` RENAME INDEX `teaching_plan` TO `teaching_session_plan`;--> statement-breakpoint
ALTER TABLE `teaching_session` RENAME INDEX `teaching_heard` TO `teaching_session_heard`;--> statement-breakpoint
ALTER TABLE `class_record` DROP FOREIGN KEY `class_run_studio_id_studio_id_fk`;--> statement-breakpoint
ALTER TABLE `class_record` ADD CONSTRAINT `class_record_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `class_record` DROP FOREIGN KEY `class_run_group_id_class_group_id_fk`;--> statement-breakpoint
ALTER TABLE `class_record` ADD CONSTRAINT `class_record_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `class_record` DROP FOREIGN KEY `class_run_teacher_id_teacher_id_fk`;--> statement-breakpoint
ALTER TABLE `class_record` ADD CONSTRAINT `class_record_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `record_movement` DROP FOREIGN KEY `run_movement_run_id_class_run_id_fk`;--> statement-breakpoint
ALTER TABLE `record_movement` ADD CONSTRAINT `record_movement_record_id_class_record_id_fk` FOREIGN KEY (`record_id`) REFERENCES `class_record`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `taught_time` DROP FOREIGN KEY `taught_time_run_id_class_run_id_fk`;--> statement-breakpoint
ALTER TABLE `taught_time` ADD CONSTRAINT `taught_time_record_id_class_record_id_fk` FOREIGN KEY (`record_id`) REFERENCES `class_record`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching_session` DROP FOREIGN KEY `teaching_studio_id_studio_id_fk`;--> statement-breakpoint
ALTER TABLE `teaching_session` ADD CONSTRAINT `teaching_session_studio_id_studio_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studio`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching_session` DROP FOREIGN KEY `teaching_group_id_class_group_id_fk`;--> statement-breakpoint
ALTER TABLE `teaching_session` ADD CONSTRAINT `teaching_session_group_id_class_group_id_fk` FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching_session` DROP FOREIGN KEY `teaching_teacher_id_teacher_id_fk`;--> statement-breakpoint
ALTER TABLE `teaching_session` ADD CONSTRAINT `teaching_session_teacher_id_teacher_id_fk` FOREIGN KEY (`teacher_id`) REFERENCES `teacher`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `teaching_event` DROP FOREIGN KEY `teaching_event_teaching_id_teaching_id_fk`;--> statement-breakpoint
ALTER TABLE `teaching_event` ADD CONSTRAINT `teaching_event_session_id_teaching_session_id_fk` FOREIGN KEY (`session_id`) REFERENCES `teaching_session`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `movement_state` RENAME COLUMN `fingerprint` TO `content_hash`;
