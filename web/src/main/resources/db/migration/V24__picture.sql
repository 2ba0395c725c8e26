-- Pictures that people have brought in. Steps of drawings name them by their hash.
create table picture (
    sha256      varchar(64)  primary key,
    name        varchar(200) not null,
    file        bytea        not null,
    account_id  bigint       not null references account,
    made_at     timestamptz  not null
);
