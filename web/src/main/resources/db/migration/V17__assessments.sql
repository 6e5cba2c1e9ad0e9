-- What whoever wrote a line was asked about, and said that it is so. Lines from before that was kept were asked about by the rules of their day.
alter table log_revision add column answered varchar(300) default '' not null;
update log_revision set answered = 'EARLIER';

-- The one word for a batch, and what its judgement hangs on beside its log: program, what the workshop learned, what each vessel that it names weighs.
alter table batch_summary add column state varchar(16) default '' not null;
alter table batch_summary add column fingerprint varchar(4000) default '' not null;
