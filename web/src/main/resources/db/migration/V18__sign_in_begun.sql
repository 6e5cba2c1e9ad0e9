-- A sign-in ends some day however often it is used. Those from before count from now on.
alter table sign_in add column begun_at timestamp(9) with time zone default current_timestamp not null;
