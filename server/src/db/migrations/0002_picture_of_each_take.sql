PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_pictures` (
	`design` text NOT NULL,
	`revision` integer NOT NULL,
	`png` blob NOT NULL,
	PRIMARY KEY(`design`, `revision`),
	FOREIGN KEY (`design`) REFERENCES `designs`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_pictures`("design", "revision", "png") SELECT "design", "revision", "png" FROM `pictures`;--> statement-breakpoint
DROP TABLE `pictures`;--> statement-breakpoint
ALTER TABLE `__new_pictures` RENAME TO `pictures`;--> statement-breakpoint
PRAGMA foreign_keys=ON;