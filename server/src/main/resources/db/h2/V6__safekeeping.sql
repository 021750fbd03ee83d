-- The list's summary of an examination knows the record up to a number, and is made anew where the record has grown since.
alter table case_standing add column knows bigint default 0 not null;
alter table case_standing add column last_number bigint default 0 not null;
update case_standing set
    last_number = coalesce((select max(number) from command where command.examination_id = case_standing.examination_id), 0);
update case_standing set knows = last_number;
create index case_standing_stale on case_standing (last_number, knows);
create index command_by_examination on command (examination_id, number desc);

-- That somebody took over an examination from a colleague, only ever added.
create table takeover (
    id             uuid primary key,
    examination_id uuid not null references examination (id),
    ordinal        integer not null,
    author         varchar(80) not null,
    taken_as       varchar(80) not null,
    taken_from     varchar(80) not null,
    at             timestamp with time zone not null,
    unique (examination_id, ordinal)
);

-- Who entered the findings that somebody signed, by the names they then had; and whether the signer entered none of them.
alter table signature add column entered_by varchar(2000) default '' not null;
alter table signature add column countersigned boolean default false not null;

-- Longer hashes, a password that has to be changed at the next sign-in, and a second factor for those who want one.
alter table account alter column password_hash varchar(255);
alter table account alter column password_hash set not null;
alter table account add column must_change boolean default false not null;
alter table account add column second_factor varchar(64);
alter table account add column last_step bigint default 0 not null;
create table recovery_code (
    account_id uuid not null references account (id),
    hash       varchar(64) not null,
    primary key (account_id, hash)
);

-- The first account is made once: the table has room for one row.
create table first_account (
    id         integer primary key check (id = 1),
    account_id uuid not null references account (id)
);
insert into first_account (id, account_id) select 1, id from account order by created_at, id fetch first 1 row only;

-- Random values of this installation that never leave it.
create table server_secret (
    name  varchar(40) primary key,
    bytes varbinary(64) not null
);

-- The words of every content that the record was made with, so that what was recorded can be read for ever.
create table content_words (
    revision varchar(40) primary key,
    kept_at  timestamp with time zone not null,
    words    character large object not null
);
