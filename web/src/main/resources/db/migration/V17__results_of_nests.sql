-- Searches for nests, with the best that each has found so far.
create table nest_result (
    job_id     bigint       not null references job,
    number     integer      not null,
    step       integer      not null,
    account_id bigint       not null references account,
    wish       text         not null,
    state      varchar(10)  not null,
    began_at   timestamptz  not null,
    told_at    timestamptz  not null,
    seconds    double precision not null default 0,
    problem    text         not null default '',
    best       text         not null default '',
    course     text         not null default '',
    primary key (job_id, number)
);

-- Whether the parts of a job are nested: such a job is no source of another nest.
alter table job add column nested boolean not null default false;
