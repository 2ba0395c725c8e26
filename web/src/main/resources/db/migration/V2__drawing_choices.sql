-- Documents keep what is about the order and about the drawing apart.
alter table job_step disable trigger step_is_immutable;
update job_step set document = jsonb_build_object(
    'order', jsonb_build_object(
        'name', document -> 'name',
        'machine', document -> 'machine',
        'material', document -> 'material',
        'thickness', document -> 'thickness',
        'quantity', document -> 'quantity',
        'customer', ''),
    'shape', jsonb_build_object(
        'files', document -> 'files',
        'unit', document -> 'unit',
        'fit', jsonb_build_object('text', '0.01', 'value', 0.01),
        'rules', jsonb_build_object(
            'layers', document -> 'layers', 'colours', '{}'::jsonb, 'lineTypes', '{}'::jsonb,
            'startDiameters', '[]'::jsonb),
        'features', document -> 'features',
        'turned', '[]'::jsonb,
        'settled', '[]'::jsonb,
        'gap', document -> 'gap',
        'mending', '["GAPS", "DOUBLES", "CRUMBS"]'::jsonb,
        'steps', '[]'::jsonb,
        'revision', jsonb_build_object('stale', '[]'::jsonb, 'lost', '[]'::jsonb)),
    'plan', document -> 'plan',
    'sheet', document -> 'sheet',
    'acceptances', document -> 'acceptances')
where document ? 'files';
alter table job_step enable trigger step_is_immutable;

alter table job add column customer varchar(80) not null default '';

-- How a customer draws: the unit of files that do not say theirs, and what their line work is for.
create table customer (
    name       varchar(80) primary key,
    unit       varchar(20),
    rules      jsonb       not null,
    changed_at timestamptz not null
);
