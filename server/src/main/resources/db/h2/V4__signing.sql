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
    unique (examination_id, version)
);

-- What went in and what came out when a version was signed. Apart from the signature, because it is large and seldom read.
create table snapshot (
    id      uuid primary key references signature (id),
    content character large object not null
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

-- Templates of notes are settings, and longer than the others.
alter table clinic_setting alter column chosen varchar(4000);
alter table clinic_setting alter column chosen set not null;
alter table clinic_setting_history alter column chosen varchar(4000);
