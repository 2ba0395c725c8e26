-- What the role of the running application may do, which owns nothing: rows that are never changed
-- it can only read and add.
do $grants$
declare
    kept text;
begin
    if '${application}' = current_user then
        return;
    end if;
    -- two nodes that start at once would get into each other's way
    perform pg_advisory_xact_lock(7304150218);
    execute format('grant usage on schema %I to %I', '${flyway:defaultSchema}', '${application}');
    execute format('grant select, insert, update, delete on all tables in schema %I to %I',
        '${flyway:defaultSchema}', '${application}');
    execute format('grant usage, select on all sequences in schema %I to %I',
        '${flyway:defaultSchema}', '${application}');
    for kept in select c.relname from pg_class c
        where c.relnamespace = '${flyway:defaultSchema}'::regnamespace
          and c.relname in ('release', 'job_step', 'drawing_file', 'format_version', 'book_change',
                            'seal_link', 'trail_entry', '${flyway:table}') loop
        execute format('revoke update, delete on %I.%I from %I',
            '${flyway:defaultSchema}', kept, '${application}');
    end loop;
    execute format('revoke insert on %I.%I from %I',
        '${flyway:defaultSchema}', '${flyway:table}', '${application}');
end
$grants$;
