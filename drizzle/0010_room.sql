ALTER TABLE `teaching` ADD `heard_at` timestamp(3) DEFAULT (now()) NOT NULL;--> statement-breakpoint
ALTER TABLE `teaching` ADD `ahead_ms` bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `teaching_heard` ON `teaching` (`studio_id`,`heard_at`);