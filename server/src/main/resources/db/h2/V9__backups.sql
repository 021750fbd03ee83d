-- How often the record is copied by itself, and what became of each try.
create table backup_plan (
    id integer primary key check (id = 1),
    every_hours integer not null check (every_hours between 0 and 336),
    keep integer not null check (keep between 1 and 100),
    since timestamp(9) with time zone not null
);
insert into backup_plan (id, every_hours, keep, since) values (1, 24, 7, current_timestamp);

create table backup_run (
    id bigint generated always as identity primary key,
    at timestamp(9) with time zone not null,
    file varchar(80) not null,
    bytes bigint not null,
    holds varchar(300) not null,
    fault varchar(1000) not null
);
create index backup_run_at on backup_run (at);
