-- numbers that the shop gives once: what comes next, and what was given with which release
create table counter (
    name  varchar(60)  primary key,
    next  bigint       not null
);

create table counter_use (
    id        bigserial    primary key,
    counter   varchar(60)  not null references counter,
    first     bigint       not null,
    last      bigint       not null,
    job_id    bigint       not null references job,
    revision  varchar(20)  not null,
    taken_at  timestamptz  not null
);

create index counter_use_by_counter on counter_use (counter, last);
