CREATE TABLE `sign_in_place` (
	`account_hash` varchar(64) COLLATE utf8mb4_nopad_bin NOT NULL,
	`place_hash` varchar(64) COLLATE utf8mb4_nopad_bin NOT NULL,
	`last_at` timestamp(3) NOT NULL,
	CONSTRAINT `sign_in_place_account_hash_place_hash_pk` PRIMARY KEY(`account_hash`,`place_hash`)
);
--> statement-breakpoint
ALTER TABLE `accepted` ADD `asked_hash` varchar(64) COLLATE utf8mb4_nopad_bin;--> statement-breakpoint
ALTER TABLE `check_in` ADD `device_on` date;--> statement-breakpoint
ALTER TABLE `check_in` ADD `received_at` timestamp(3) DEFAULT (now()) NOT NULL;--> statement-breakpoint
UPDATE `check_in` SET `received_at` = `updated_at`, `updated_at` = `updated_at`;--> statement-breakpoint
ALTER TABLE `class_group` ADD `removed_at` timestamp(3) NULL;--> statement-breakpoint
ALTER TABLE `class_run` ADD `led_version` int;--> statement-breakpoint
ALTER TABLE `class_run` ADD `led_by` varchar(24) COLLATE utf8mb4_nopad_bin;--> statement-breakpoint
ALTER TABLE `student` ADD `removed_at` timestamp(3) NULL;--> statement-breakpoint
ALTER TABLE `teaching` ADD `device_started_at` datetime(3);--> statement-breakpoint
ALTER TABLE `teaching` ADD `is_over` boolean DEFAULT false NOT NULL;
