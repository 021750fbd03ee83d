-- How long each test of an examination took at the bench, both sides together, in seconds; only tests that were timed.
create table test_lap (
    examination_id uuid not null references examination (id),
    test_id        varchar(60) not null,
    seconds        double precision not null,
    primary key (examination_id, test_id)
);

create index test_lap_by_test on test_lap (test_id, seconds);
