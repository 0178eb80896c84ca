-- How a quiz is gone round: seconds at a station, groups, rests, who is away and who needs more time. Null until it is said.
alter table quiz add column rounds jsonb;

-- Colleagues who sat it blind before the day, and what they missed.
alter table quiz add column tries jsonb not null default '[]';
