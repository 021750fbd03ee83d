-- Everything that a clinic has changed in its ledger, in order. Rows are only ever added.
create table ledger_change (
    number    bigint primary key,
    id        uuid not null unique,
    record_id varchar(8) not null,
    kind      varchar(20) not null,
    entry     character large object,
    review    character large object,
    basis     varchar(40) not null,
    why       varchar(600) not null,
    author    varchar(80) not null,
    at        timestamp(9) with time zone not null
);
create index ledger_change_by_record on ledger_change (record_id, number);

-- One row, held by whoever adds a change, so that changes follow each other.
create table ledger_turn (
    id          integer primary key,
    last_change bigint not null
);
insert into ledger_turn (id, last_change) values (1, 0);

-- After how many changes the ledger had which revision, so that an examination can be weighed by the one it began with.
create table evidence_revision (
    revision varchar(40) primary key,
    changes  bigint not null
);

-- An examination whose therapist has taken over a later ledger than the one it began with; the last one holds.
create table examination_evidence (
    examination_id uuid not null references examination (id),
    ordinal        integer not null,
    revision       varchar(40) not null,
    author         varchar(80) not null,
    at             timestamp(9) with time zone not null,
    primary key (examination_id, ordinal)
);

-- A paper kept with a record. One that was taken away leaves its line without its content.
create table ledger_paper (
    id         uuid primary key,
    record_id  varchar(8) not null,
    name       varchar(200) not null,
    size       integer not null,
    content    binary large object,
    author     varchar(80) not null,
    at         timestamp(9) with time zone not null,
    removed_by varchar(80),
    removed_at timestamp(9) with time zone
);
create index ledger_paper_by_record on ledger_paper (record_id, at);
