-- Fonts that people have brought in; those that ship are not in it. Texts name them by their hash.
create table font (
    sha256      varchar(64)  primary key,
    name        varchar(200) not null,
    file        bytea        not null,
    account_id  bigint       not null references account,
    made_at     timestamptz  not null
);
