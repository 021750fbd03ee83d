-- A person known to the clinic by a code alone.
create table case_file (
    id         uuid primary key,
    code       varchar(40) not null unique,
    created_at timestamp with time zone not null
);

-- One visit's examination. It keeps the revisions of the content by which it is read.
create table examination (
    id                 uuid primary key,
    case_id            uuid not null references case_file (id),
    age                integer not null,
    occupation         varchar(120) not null,
    region             varchar(30) not null,
    side               varchar(10) not null,
    setting            varchar(30) not null,
    author             varchar(80) not null,
    started_at         timestamp with time zone not null,
    catalogue_revision varchar(40) not null,
    evidence_revision  varchar(40) not null,
    settings_revision  varchar(40) not null
);
create index examination_by_start on examination (started_at);
create index examination_by_case on examination (case_id);

-- What the therapist did, only ever added. The id comes from the client, so that a command sent twice counts once.
create table command (
    id             uuid primary key,
    examination_id uuid not null references examination (id),
    number         bigint not null,
    client_id      uuid not null,
    client_order   bigint not null,
    author         varchar(80) not null,
    at             timestamp with time zone not null,
    received_at    timestamp with time zone not null,
    kind           varchar(20) not null,
    stand_at       varchar(60) not null,
    undoes         uuid references command (id),
    unique (examination_id, number),
    unique (examination_id, client_id, client_order)
);

-- One go at a test on one side, only ever added.
create table attempt (
    id         uuid primary key,
    command_id uuid not null references command (id),
    ordinal    integer not null,
    test_id    varchar(60) not null,
    variant    varchar(60) not null,
    side       varchar(10) not null,
    try_number integer not null
);
create index attempt_by_command on attempt (command_id);

-- Earlier attempts that an attempt replaces.
create table attempt_supersedes (
    attempt_id    uuid not null references attempt (id),
    superseded_id uuid not null references attempt (id),
    primary key (attempt_id, superseded_id)
);

-- The typed parts of a response, each with its context.
create table attempt_part (
    attempt_id    uuid not null references attempt (id),
    ordinal       integer not null,
    part_key      varchar(60) not null,
    kind          varchar(10) not null,
    choice        varchar(60),
    measure       double precision,
    unit          varchar(20),
    words         varchar(2000),
    position      varchar(60) not null,
    repeat_number integer not null,
    direction     varchar(20) not null,
    primary key (attempt_id, ordinal)
);
