-- How a line of the history is said in another language: the id of its words and what stands in them. Lines of before have none.
alter table history add column said jsonb;
