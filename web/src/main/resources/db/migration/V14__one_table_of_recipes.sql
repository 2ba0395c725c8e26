-- Recipes of all kinds of work in one table; a rule that is for nothing by itself has no kind.
create table recipe (
    work       varchar(40) not null,
    name       varchar(60) not null,
    process    varchar(20),
    automatic  boolean     not null,
    rule       jsonb       not null,
    choice     jsonb       not null,
    run_order  varchar(40) not null,
    changed_by bigint      not null references account (id),
    changed_at timestamptz not null,
    primary key (work, name)
);

insert into recipe (work, name, process, automatic, rule, choice, run_order, changed_by, changed_at)
select 'sheet', name, process, automatic,
    case
        when rule is null or rule = 'null'::jsonb
            then '{"kind": "", "over": null, "below": null}'::jsonb
        when rule ->> 'kind' = 'ANY' then jsonb_set(rule, '{kind}', '"anything"')
        else jsonb_set(rule, '{kind}', to_jsonb(lower(rule ->> 'kind')))
    end,
    choice, '', changed_by, changed_at
from shop_recipe;

insert into recipe (work, name, process, automatic, rule, choice, run_order, changed_by, changed_at)
select 'wire', name, null, false,
    jsonb_build_object('kind', coalesce(kind, ''), 'over', null, 'below', null),
    choice, coalesce(run_order, ''), changed_by, changed_at
from wire_recipe;

drop table shop_recipe;
drop table wire_recipe;
