-- what a picture is traced with stands in the id of the work
alter table long_work alter column id type varchar(300);
alter table long_work alter column task type varchar(340);
