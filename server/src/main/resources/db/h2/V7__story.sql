-- Sex of a patient, where it changes how common a condition is.
alter table case_file add column sex varchar(10);
alter table case_file_history add column sex varchar(10);
