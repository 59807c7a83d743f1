CREATE TABLE `program` (
	`id` integer PRIMARY KEY NOT NULL,
	`version` text NOT NULL
);
