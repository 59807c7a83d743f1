CREATE TABLE `controllers` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`source` text NOT NULL,
	`unit` text NOT NULL,
	`full_speed_code` integer NOT NULL,
	`most_segments` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `families` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`source` text NOT NULL,
	`expansion_per_k` real NOT NULL,
	`annealing_c` real NOT NULL,
	`softening_c` real NOT NULL,
	`density_kg_m3` real NOT NULL,
	`youngs_pa` real NOT NULL,
	`poisson` real NOT NULL,
	`conductivity_w_mk` real NOT NULL,
	`heat_capacity_j_kgk` real NOT NULL,
	`surface_tension_n_m` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `firings` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`schedule_id` text NOT NULL,
	`fired_at` integer NOT NULL,
	`zone` text NOT NULL,
	`result` text NOT NULL,
	`note` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`schedule_id`) REFERENCES `schedules`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `firings_by_time` ON `firings` (`fired_at`);--> statement-breakpoint
CREATE INDEX `firings_by_schedule` ON `firings` (`schedule_id`);--> statement-breakpoint
CREATE TABLE `glasses` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`source` text NOT NULL,
	`family_id` text NOT NULL,
	`colour` text NOT NULL,
	`thicknesses_m` text NOT NULL,
	FOREIGN KEY (`family_id`) REFERENCES `families`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `glasses_by_family` ON `glasses` (`family_id`);--> statement-breakpoint
CREATE TABLE `kilns` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`source` text NOT NULL,
	`top_c` real NOT NULL,
	`power_k_per_s` real NOT NULL,
	`loss_per_s` real NOT NULL,
	`radiant_loss_per_k3_s` real NOT NULL,
	`ambient_c` real NOT NULL,
	`across_lag_s_per_300mm` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `pieces_by_change` ON `pieces` (`updated_at`);--> statement-breakpoint
CREATE TABLE `schedules` (
	`id` text PRIMARY KEY NOT NULL,
	`piece_id` text NOT NULL,
	`step_id` text NOT NULL,
	`parent_id` text,
	`origin` text NOT NULL,
	`segments` text NOT NULL,
	`snapshot` text NOT NULL,
	`result` text NOT NULL,
	`work_c` real NOT NULL,
	`work_s` real NOT NULL,
	`total_s` real NOT NULL,
	`kiln_name` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `schedules_by_piece` ON `schedules` (`piece_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `studio` (
	`id` integer PRIMARY KEY NOT NULL,
	`temperature_unit` text NOT NULL,
	`theme` text NOT NULL,
	CONSTRAINT "studio_is_one_row" CHECK("studio"."id" = 1)
);
