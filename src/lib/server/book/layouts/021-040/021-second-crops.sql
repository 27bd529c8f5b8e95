-- What is planted after the harvest of a year's first crop, in the same year: advise-request.schema.json#/definitions/SecondCrop
ALTER TABLE field_year ADD COLUMN second_crop TEXT CHECK (second_crop IS NULL OR json_valid(second_crop));
