-- What was said when a batch was held: a list shows it without the log.
alter table batch_summary add column held_because varchar(200) default '' not null;
