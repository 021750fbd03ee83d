-- The whole record as it stands after the fourteenth migration of the embedded database, for the server database, which
-- no earlier version could use. Columns that refer to other tables have an index, as the embedded database gives them by
-- itself.

-- A person known to the clinic by a code alone.
create table case_file (
    id         uuid primary key,
    code       varchar(40) not null unique,
    created_at timestamp with time zone not null,
    name       varchar(80),
    birth_year integer,
    dominance  varchar(15),
    occupation varchar(120) default '' not null,
    version    integer default 0 not null,
    sex        varchar(10)
);

-- One complaint: a region with the side or sides affected.
create table episode (
    id        uuid primary key,
    case_id   uuid not null references case_file (id),
    region    varchar(30) not null,
    side      varchar(10) not null,
    opened_at timestamp with time zone not null
);

-- One visit's examination. It keeps the revisions of the content by which it is read.
create table examination (
    id                  uuid primary key,
    case_id             uuid not null references case_file (id),
    region              varchar(30) not null,
    side                varchar(10) not null,
    setting             varchar(30) not null,
    author              varchar(80) not null,
    started_at          timestamp with time zone not null,
    catalogue_revision  varchar(40) not null,
    evidence_revision   varchar(40) not null,
    settings_revision   varchar(40) not null,
    episode_id          uuid not null references episode (id),
    other_side_involved boolean default false not null,
    follows_id          uuid references examination (id)
);
create index examination_by_followed on examination (follows_id);
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
create index command_by_undone on command (undoes);

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
create index attempt_supersedes_by_superseded on attempt_supersedes (superseded_id);

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

-- Every published result, with every column of the ledger, what it speaks for, and whether it weighs.
create table accuracy_record (
    id                 varchar(8) primary key,
    line               integer not null,
    kind               varchar(10) not null,
    subject            varchar(60) not null,
    subject_text       varchar(400) not null,
    criterion          varchar(600) not null,
    condition_id       varchar(60) not null,
    condition_text     varchar(400) not null,
    sensitivity        double precision,
    specificity        double precision,
    lr_positive        double precision,
    lr_negative        double precision,
    n_with             integer,
    n_without          integer,
    n_total            integer,
    design             varchar(120) not null,
    originator         boolean not null,
    reference_standard varchar(400) not null,
    population         varchar(600) not null,
    citation           varchar(400) not null,
    transcription      varchar(80) not null,
    review_state       varchar(40) not null,
    note               varchar(1000) not null,
    tied_to            varchar(20) not null,
    tied_criterion     varchar(60) not null,
    series             varchar(20) not null,
    by_inventors       boolean not null,
    tie_note           varchar(600) not null,
    use_state          varchar(20) not null,
    use_because        varchar(600) not null,
    evidence_revision  varchar(40) not null
);
create index accuracy_record_by_subject on accuracy_record (subject, condition_id);
create index accuracy_record_by_use on accuracy_record (use_state);

-- People who may sign in.
create table account (
    id            uuid primary key,
    name          varchar(40) not null unique,
    display_name  varchar(80) not null,
    roles         varchar(80) not null,
    password_hash varchar(255) not null,
    active        boolean not null,
    created_at    timestamp with time zone not null,
    version       integer not null,
    must_change   boolean default false not null,
    second_factor varchar(64),
    last_step     bigint default 0 not null
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
    name   varchar(120) primary key,
    chosen varchar(4000) not null
);

-- The words by which a case is found, in lower case.
create table case_word (
    word    varchar(80) collate "C" not null, -- beginnings of words are looked for in the order of their characters
    case_id uuid not null references case_file (id),
    primary key (word, case_id)
);
create index case_word_by_case on case_word (case_id);
create index episode_by_case on episode (case_id);
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
    total          integer not null,
    knows          bigint default 0 not null,
    last_number    bigint default 0 not null
);
create index case_standing_by_examination on case_standing (examination_id);
create index case_standing_by_time on case_standing (last_at desc);
create index case_standing_by_state on case_standing (state, last_at desc);
create index case_standing_by_region on case_standing (region, last_at desc);

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
    revtype      smallint not null,
    name         varchar(40),
    display_name varchar(80),
    roles        varchar(80),
    active       boolean,
    primary key (id, rev)
);
create index account_history_by_revision on account_history (rev);

create table clinic_setting_history (
    name    varchar(120) not null,
    rev     integer not null references revision (id),
    revtype smallint not null,
    chosen  varchar(4000),
    primary key (name, rev)
);
create index clinic_setting_history_by_revision on clinic_setting_history (rev);

create table case_file_history (
    id         uuid not null,
    rev        integer not null references revision (id),
    revtype    smallint not null,
    code       varchar(40),
    name       varchar(80),
    birth_year integer,
    dominance  varchar(15),
    occupation varchar(120),
    primary key (id, rev),
    sex        varchar(10)
);
create index case_file_history_by_revision on case_file_history (rev);

-- Signed versions of examinations, only ever added.
create table signature (
    id                 uuid primary key,
    examination_id     uuid not null references examination (id),
    version            integer not null,
    author             varchar(80) not null,
    signed_as          varchar(80) not null,
    at                 timestamp with time zone not null,
    last_number        bigint not null,
    catalogue_revision varchar(40) not null,
    evidence_revision  varchar(40) not null,
    settings_revision  varchar(40) not null,
    seed               bigint not null,
    unique (examination_id, version),
    entered_by         varchar(2000) default '' not null,
    countersigned      boolean default false not null
);

-- What went in and what came out when a version was signed. Apart from the signature, because it is large and seldom read.
create table snapshot (
    id      uuid primary key references signature (id),
    content text not null
);

-- That a signed examination was opened again, and why, only ever added. The version is the one that it leads to.
create table amendment (
    id             uuid primary key,
    examination_id uuid not null references examination (id),
    version        integer not null,
    author         varchar(80) not null,
    signed_as      varchar(80) not null,
    at             timestamp with time zone not null,
    reason         varchar(1000) not null,
    unique (examination_id, version)
);

-- How long each test of an examination took at the bench, both sides together, in seconds; only tests that were timed.
create table test_lap (
    examination_id uuid not null references examination (id),
    test_id        varchar(60) not null,
    seconds        double precision not null,
    primary key (examination_id, test_id)
);
create index test_lap_by_test on test_lap (test_id, seconds);
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
create index first_account_by_account on first_account (account_id);

-- Random values of this installation that never leave it.
create table server_secret (
    name  varchar(40) primary key,
    bytes bytea not null
);

-- The words of every content that the record was made with, so that what was recorded can be read for ever.
create table content_words (
    revision varchar(40) primary key,
    kept_at  timestamp with time zone not null,
    words    text not null
);

-- What a person decided for themselves alone; without a row the clinic's setting holds.
create table personal_setting (
    account varchar(40)  not null,
    name    varchar(120) not null,
    chosen  varchar(200) not null,
    primary key (account, name)
);

-- How often the record is copied by itself, and what became of each try.
create table backup_plan (
    id          integer primary key check (id = 1),
    every_hours integer not null check (every_hours between 0 and 336),
    keep        integer not null check (keep between 1 and 100),
    since       timestamp with time zone not null
);
insert into backup_plan (id, every_hours, keep, since) values (1, 24, 7, current_timestamp);

create table backup_run (
    id    bigint generated always as identity primary key,
    at    timestamp with time zone not null,
    file  varchar(80) not null,
    bytes bigint not null,
    holds varchar(300) not null,
    fault varchar(1000) not null
);
create index backup_run_at on backup_run (at);

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
    at            timestamp with time zone not null,
    withdrawn_by  varchar(80),
    withdrawn_at  timestamp with time zone,
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

-- Everything that a clinic has changed in its ledger, in order. Rows are only ever added.
create table ledger_change (
    number    bigint primary key,
    id        uuid not null unique,
    record_id varchar(8) not null,
    kind      varchar(20) not null,
    entry     text,
    review    text,
    basis     varchar(40) not null,
    why       varchar(600) not null,
    author    varchar(80) not null,
    at        timestamp with time zone not null
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
    at             timestamp with time zone not null,
    primary key (examination_id, ordinal)
);

-- A paper kept with a record. One that was taken away leaves its line without its content.
create table ledger_paper (
    id         uuid primary key,
    record_id  varchar(8) not null,
    name       varchar(200) not null,
    size       integer not null,
    content    bytea,
    author     varchar(80) not null,
    at         timestamp with time zone not null,
    removed_by varchar(80),
    removed_at timestamp with time zone
);
create index ledger_paper_by_record on ledger_paper (record_id, at);

-- Cards of tests that a person has looked through. Rows are only ever added; the last of a card holds.
create table card_review (
    number  bigint generated always as identity primary key,
    id      uuid not null unique,
    test_id varchar(80) not null,
    of_card varchar(40) not null,
    verdict varchar(12) not null,
    words   varchar(600) not null,
    author  varchar(80) not null,
    at      timestamp with time zone not null
);
create index card_review_by_test on card_review (test_id, number);

-- To whom signed examinations are sent: one receiver, or none.
create table receiver (
    only_one integer primary key check (only_one = 1),
    called   varchar(80) not null,
    address  varchar(300) not null
);

-- A signed version on its way, or arrived. The same one goes to the same address once.
create table sending (
    id             uuid primary key,
    examination_id uuid not null references examination (id),
    signature_id   uuid not null references signature (id),
    called         varchar(80) not null,
    address        varchar(300) not null,
    with_name      boolean not null,
    author         varchar(80) not null,
    asked_at       timestamp with time zone not null,
    state          varchar(12) not null,
    tries          integer not null,
    next_at        timestamp with time zone not null,
    done_at        timestamp with time zone,
    said           varchar(600) not null,
    unique (signature_id, address)
);
create index sending_due on sending (state, next_at);
create index sending_by_examination on sending (examination_id, asked_at);

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
    begun_at          timestamp with time zone not null,
    ended_at          timestamp with time zone,
    series_id         uuid,
    place             integer,
    review            text
);
create index practice_case_by_owner on practice_case (owner, begun_at);

create table practice_step (
    case_id uuid not null references practice_case (id) on delete cascade,
    number  integer not null,
    body    varchar(8000) not null,
    at      timestamp with time zone not null,
    primary key (case_id, number)
);

-- What a person has drilled, and when it is due again.
create table practice_item (
    owner  varchar(80) not null,
    kind   varchar(12) not null,
    region varchar(20) not null,
    about  varchar(200) not null,
    box    integer not null,
    due    date not null,
    asked  integer not null,
    missed integer not null,
    primary key (owner, kind, region, about)
);
create index practice_item_due on practice_item (owner, due);

-- A teacher's class, those who joined it and said that the teacher may see their results, and what is set.
create table practice_class (
    id        uuid primary key,
    name      varchar(80) not null,
    join_code varchar(12) not null unique,
    teacher   varchar(80) not null,
    made_at   timestamp with time zone not null
);

create table practice_member (
    class_id  uuid not null references practice_class (id) on delete cascade,
    member    varchar(80) not null,
    joined_at timestamp with time zone not null,
    primary key (class_id, member)
);

create table practice_series (
    id       uuid primary key,
    class_id uuid not null references practice_class (id) on delete cascade,
    name     varchar(80) not null,
    made_at  timestamp with time zone not null
);
create index practice_series_by_class on practice_series (class_id);

create table practice_series_case (
    series_id uuid not null references practice_series (id) on delete cascade,
    place     integer not null,
    title     varchar(80) not null,
    region    varchar(20) not null,
    written   varchar(20000) not null,
    primary key (series_id, place)
);
