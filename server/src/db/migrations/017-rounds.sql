-- How a quiz is gone round: seconds at a station, groups, rests, who is away and who needs more time. Null until it is said.
alter table quiz add column rounds jsonb;
