-- People who may sign in.
create table account (
    id            uuid primary key,
    name          varchar(40) not null unique,
    display_name  varchar(80) not null,
    roles         varchar(80) not null,
    password_hash varchar(100) not null,
    active        boolean not null,
    created_at    timestamp with time zone not null,
    version       integer not null
);

-- Who saw, entered, changed or took out what, only ever added.
create table audit_entry (
    id         bigint generated always as identity primary key,
    at         timestamp with time zone not null,
    author     varchar(80) not null,
    action     varchar(20) not null,
    subject    varchar(40) not null,
    subject_id varchar(80) not null,
    detail     varchar(400) not null
);
create index audit_entry_by_author on audit_entry (author, id);
create index audit_entry_by_subject on audit_entry (subject, subject_id, id);

-- What the clinic decided for itself, where it differs from what ships.
create table clinic_setting (
    name  varchar(120) primary key,
    chosen varchar(200) not null
);

-- A person known to the clinic by a code, and by a name only where the clinic wants it.
alter table case_file add column name varchar(80);
alter table case_file add column birth_year integer;
alter table case_file add column dominance varchar(15);
alter table case_file add column occupation varchar(120) default '' not null;
alter table case_file add column version integer default 0 not null;
update case_file set
    birth_year = (select max(extract(year from started_at) - age) from examination where examination.case_id = case_file.id),
    occupation = coalesce((select max(occupation) from examination where examination.case_id = case_file.id), '');

-- The words by which a case is found, in lower case.
create table case_word (
    word    varchar(80) not null,
    case_id uuid not null references case_file (id),
    primary key (word, case_id)
);
create index case_word_by_case on case_word (case_id);
insert into case_word (word, case_id) select distinct lower(code), id from case_file;

-- One complaint: a region with the side or sides affected.
create table episode (
    id        uuid primary key,
    case_id   uuid not null references case_file (id),
    region    varchar(30) not null,
    side      varchar(10) not null,
    opened_at timestamp with time zone not null
);
create index episode_by_case on episode (case_id);

alter table examination add column episode_id uuid references episode (id);
alter table examination add column other_side_involved boolean default false not null;
alter table examination add column follows_id uuid references examination (id);
insert into episode (id, case_id, region, side, opened_at)
    select random_uuid(), case_id, region, side, min(started_at) from examination group by case_id, region, side;
update examination set episode_id = (select id from episode
    where episode.case_id = examination.case_id and episode.region = examination.region and episode.side = examination.side);
alter table examination alter column episode_id set not null;
alter table examination drop column age;
alter table examination drop column occupation;
create index examination_by_episode on examination (episode_id);

-- Where the latest examination of each case stands, for the list; made anew from the record with every command.
create table case_standing (
    case_id        uuid primary key references case_file (id),
    examination_id uuid not null references examination (id),
    region         varchar(30) not null,
    state          varchar(20) not null,
    last_at        timestamp with time zone not null,
    visits         integer not null,
    done           integer not null,
    total          integer not null
);
create index case_standing_by_time on case_standing (last_at desc);
create index case_standing_by_state on case_standing (state, last_at desc);
create index case_standing_by_region on case_standing (region, last_at desc);
insert into case_standing (case_id, examination_id, region, state, last_at, visits, done, total)
    select case_id, id, region, 'BEGUN', started_at,
           (select count(*) from examination visit where visit.case_id = examination.case_id), 0, 1
    from examination
    where id = (select id from examination latest where latest.case_id = examination.case_id order by started_at desc limit 1);

-- What was told before the hands, only ever added.
create table intake_answer (
    command_id   uuid not null references command (id),
    ordinal      integer not null,
    question     varchar(80) not null,
    choices      varchar(2000) not null,
    number_given double precision,
    told_day     date,
    words        varchar(1000) not null,
    primary key (command_id, ordinal)
);

-- History of what may be changed, kept by Envers.
create sequence revision_seq start with 1 increment by 1;
create table revision (
    id     integer primary key,
    at     bigint not null,
    author varchar(80) not null
);
create table account_history (
    id           uuid not null,
    rev          integer not null references revision (id),
    revtype      tinyint not null,
    name         varchar(40),
    display_name varchar(80),
    roles        varchar(80),
    active       boolean,
    primary key (id, rev)
);
create table clinic_setting_history (
    name    varchar(120) not null,
    rev     integer not null references revision (id),
    revtype tinyint not null,
    chosen  varchar(200),
    primary key (name, rev)
);
create table case_file_history (
    id         uuid not null,
    rev        integer not null references revision (id),
    revtype    tinyint not null,
    code       varchar(40),
    name       varchar(80),
    birth_year integer,
    dominance  varchar(15),
    occupation varchar(120),
    primary key (id, rev)
);
