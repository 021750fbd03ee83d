-- Practice on invented patients, apart from every patient's record.

create table practice_case (
    id                uuid primary key,
    owner             varchar(80) not null,
    written           varchar(20000) not null,
    title             varchar(80) not null,
    region            varchar(20) not null,
    visit_day         date not null,
    showing           varchar(12) not null,
    evidence_revision varchar(80) not null,
    begun_at          timestamp(9) with time zone not null,
    ended_at          timestamp(9) with time zone,
    series_id         uuid,
    place             int,
    review            character large object
);
create index practice_case_by_owner on practice_case (owner, begun_at);

create table practice_step (
    case_id  uuid not null references practice_case (id) on delete cascade,
    number   int not null,
    body     varchar(8000) not null,
    at       timestamp(9) with time zone not null,
    primary key (case_id, number)
);

-- What a person has drilled, and when it is due again.
create table practice_item (
    owner   varchar(80) not null,
    kind    varchar(12) not null,
    region  varchar(20) not null,
    about   varchar(200) not null,
    box     int not null,
    due     date not null,
    asked   int not null,
    missed  int not null,
    primary key (owner, kind, region, about)
);
create index practice_item_due on practice_item (owner, due);

-- A teacher's class, those who joined it and said that the teacher may see their results, and what is set.
create table practice_class (
    id        uuid primary key,
    name      varchar(80) not null,
    join_code varchar(12) not null unique,
    teacher   varchar(80) not null,
    made_at   timestamp(9) with time zone not null
);

create table practice_member (
    class_id  uuid not null references practice_class (id) on delete cascade,
    member    varchar(80) not null,
    joined_at timestamp(9) with time zone not null,
    primary key (class_id, member)
);

create table practice_series (
    id       uuid primary key,
    class_id uuid not null references practice_class (id) on delete cascade,
    name     varchar(80) not null,
    made_at  timestamp(9) with time zone not null
);

create table practice_series_case (
    series_id uuid not null references practice_series (id) on delete cascade,
    place     int not null,
    title     varchar(80) not null,
    region    varchar(20) not null,
    written   varchar(20000) not null,
    primary key (series_id, place)
);
