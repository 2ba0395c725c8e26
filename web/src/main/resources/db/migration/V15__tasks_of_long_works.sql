-- What does a work: a new one each time it is wanted, so that one that was forgotten touches nothing.
alter table long_work add column task varchar(140) not null default '';
-- whatever was under way is done by a task named like the work
update long_work set task = id;
create index long_work_task on long_work (task);
