-- Up Migration

create table comparison (like unit including all);
