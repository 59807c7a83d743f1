ALTER TABLE `families` ADD `strain_c` real;--> statement-breakpoint
ALTER TABLE `families` ADD `fluid_point` text;--> statement-breakpoint
ALTER TABLE `families` ADD `melt_expansion_per_k` real;--> statement-breakpoint
ALTER TABLE `families` ADD `stress_optical_per_pa` real;--> statement-breakpoint
ALTER TABLE `families` ADD `haze` text;--> statement-breakpoint
ALTER TABLE `families` ADD `thresholds` text;--> statement-breakpoint
ALTER TABLE `families` ADD `relaxation` text;--> statement-breakpoint
-- A body has glasses and layers of several forms; limits hold the work of every look. Snapshots are rewritten to say the same in the new words.
UPDATE `schedules` SET `snapshot` = json_set(
  json_remove(`snapshot`, '$.firing.body.glass', '$.firing.limits.fullFuse'),
  '$.firing.body.glasses', json_array(json_extract(`snapshot`, '$.firing.body.glass')),
  '$.firing.body.layers', (SELECT json_group_array(json_set(`value`, '$.form', 'sheet', '$.glass', 0)) FROM json_each(`snapshot`, '$.firing.body.layers')),
  '$.firing.limits.works', json_object(
    'firePolish', json('{"least":0.001,"most":0.0032}'),
    'tack', json('{"least":0.0022,"most":0.006}'),
    'contour', json('{"least":0.006,"most":0.016}'),
    'fullFuse', json_extract(`snapshot`, '$.firing.limits.fullFuse'),
    'slabFlow', json('{"least":0.2,"most":0.36}')
  ),
  '$.firing.limits.residual_Pa', 1000000,
  '$.firing.limits.haze_s', 28800,
  '$.firing.limits.coating_s', 4200
) WHERE json_extract(`snapshot`, '$.firing.body.glass') IS NOT NULL;
