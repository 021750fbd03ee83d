-- Cards of tests that a person has looked through. Rows are only ever added; the last of a card holds.
create table card_review (
    number   bigint generated always as identity primary key,
    id       uuid not null unique,
    test_id  varchar(80) not null,
    of_card  varchar(40) not null,
    verdict  varchar(12) not null,
    words    varchar(600) not null,
    author   varchar(80) not null,
    at       timestamp(9) with time zone not null
);
create index card_review_by_test on card_review (test_id, number);
