-- What trees were named by, told in practice and by what was sorted.
alter table practice_review add column went_by jsonb;
alter table sort add column told jsonb;
alter table course add column asks_in_practice boolean not null default true;
