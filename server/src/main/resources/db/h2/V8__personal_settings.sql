-- What a person decided for themselves alone; without a row the clinic's setting holds.
create table personal_setting (
    account varchar(40)  not null,
    name    varchar(120) not null,
    chosen  varchar(200) not null,
    primary key (account, name)
);
