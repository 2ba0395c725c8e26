-- values of drawing commands that the shop keeps under a name, to be drawn again
create table kept_shape (
    id          bigserial    primary key,
    command     varchar(40)  not null,
    name        varchar(60)  not null,
    "values"    text         not null,
    account_id  bigint       not null references account,
    kept_at     timestamptz  not null,
    unique (command, name)
);
