-- What turned out to be true of a complaint. A row is only ever added; one that was wrong is withdrawn with a reason.
create table reference_result (
    id            uuid primary key,
    episode_id    uuid not null references episode (id),
    condition_id  varchar(80) not null,
    truth         varchar(10) not null,
    kind          varchar(20) not null,
    found_on      date not null,
    reader        varchar(10) not null,
    read_by       varchar(80) not null,
    words         varchar(300) not null,
    author        varchar(80) not null,
    at            timestamp(9) with time zone not null,
    withdrawn_by  varchar(80),
    withdrawn_at  timestamp(9) with time zone,
    withdrawn_why varchar(300)
);
create index reference_result_by_episode on reference_result (episode_id);

-- What the last signed version of an examination said; made anew from the record where it is behind.
create table signed_visit (
    examination_id uuid primary key references examination (id),
    episode_id     uuid not null references episode (id),
    version        integer not null,
    signed_by      varchar(80) not null,
    visit_day      date not null,
    setting        varchar(20) not null,
    working        varchar(80) not null,
    confidence     double precision,
    test_again     date,
    asked_for      varchar(2000) not null
);
create index signed_visit_by_episode on signed_visit (episode_id);

-- The chance of each condition that findings had moved, before and after them.
create table signed_claim (
    examination_id uuid not null references signed_visit (examination_id) on delete cascade,
    condition_id   varchar(80) not null,
    start_chance   double precision not null,
    stated_chance  double precision not null,
    primary key (examination_id, condition_id)
);
create index signed_claim_by_condition on signed_claim (condition_id);

-- What each test had answered about each condition, by each criterion.
create table signed_finding (
    examination_id uuid not null references signed_visit (examination_id) on delete cascade,
    test_id        varchar(80) not null,
    condition_id   varchar(80) not null,
    criterion_id   varchar(80) not null,
    positive       boolean not null,
    primary key (examination_id, test_id, condition_id, criterion_id)
);
create index signed_finding_by_condition on signed_finding (condition_id);
