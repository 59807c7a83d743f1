ALTER TABLE `kilns` ADD `inside_width_m` real;--> statement-breakpoint
ALTER TABLE `kilns` ADD `inside_length_m` real;--> statement-breakpoint
ALTER TABLE `kilns` ADD `inside_diameter_m` real;--> statement-breakpoint
ALTER TABLE `kilns` ADD `inside_height_m` real;