-- Work that takes long, done by any node; the table of db-scheduler, as its documentation gives it.
create table scheduled_tasks (
    task_name            text        not null,
    task_instance        text        not null,
    task_data            bytea,
    execution_time       timestamptz not null,
    picked               boolean     not null,
    picked_by            text,
    last_success         timestamptz,
    last_failure         timestamptz,
    consecutive_failures int,
    last_heartbeat       timestamptz,
    version              bigint      not null,
    priority             smallint,
    primary key (task_name, task_instance)
);
create index scheduled_tasks_execution_time on scheduled_tasks (execution_time);
create index scheduled_tasks_last_heartbeat on scheduled_tasks (last_heartbeat);
create index scheduled_tasks_priority on scheduled_tasks (priority desc, execution_time asc);

-- How far it is, for people on every node.
create table long_work (
    id         varchar(120)     primary key,
    subject    varchar(60)      not null,
    version    bigint           not null,
    account_id bigint,
    state      varchar(10)      not null,
    share      double precision not null,
    doing      varchar(200)     not null,
    node       varchar(60),
    wanted_at  timestamptz      not null,
    told_at    timestamptz      not null
);
create index long_work_subject on long_work (subject);
