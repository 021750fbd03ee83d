-- To whom signed examinations are sent: one receiver, or none.
create table receiver (
    only_one   int primary key check (only_one = 1),
    called     varchar(80) not null,
    address    varchar(300) not null
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
    asked_at       timestamp(9) with time zone not null,
    state          varchar(12) not null,
    tries          int not null,
    next_at        timestamp(9) with time zone not null,
    done_at        timestamp(9) with time zone,
    said           varchar(600) not null,
    unique (signature_id, address)
);
create index sending_due on sending (state, next_at);
create index sending_by_examination on sending (examination_id, asked_at);
