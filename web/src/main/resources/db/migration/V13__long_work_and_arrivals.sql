-- What a work has found so far, in the words of its kind.
alter table long_work add column so_far text not null default '';

-- Large drawings that somebody brought and that are not read yet; gone when they are jobs, or refused.
create table arrival (
    id         bigint generated always as identity primary key,
    account_id bigint       not null references account,
    file_name  varchar(255) not null,
    content    bytea        not null,
    form       text         not null,
    brought_at timestamptz  not null
);
