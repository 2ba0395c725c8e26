-- Rests of sheets that the shop keeps, offered to nests before new sheets.
create table remnant (
    id          bigint generated always as identity primary key,
    material    varchar(120)     not null,
    thickness   double precision not null,
    width       double precision not null,
    height      double precision not null,
    outline     text             not null default '',
    grain       double precision,
    place       varchar(60)      not null default '',
    state       varchar(10)      not null,
    origin_job  bigint references job,
    origin      varchar(200)     not null default '',
    used_by     bigint references job,
    made_by     bigint           not null references account,
    made_at     timestamptz      not null
);
create index remnant_of_material on remnant (material, thickness, state);
