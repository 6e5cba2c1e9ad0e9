-- What a batch is made for, by the name of the choice. It follows from its log; until it is read there, it is to be used.
alter table batch_summary add column purpose varchar(10) default 'MADE' not null;
