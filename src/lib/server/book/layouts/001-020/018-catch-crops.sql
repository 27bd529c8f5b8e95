-- What is sown after the harvest of a year to catch the nitrogen that was left: season-request.schema.json#/definitions/CatchCrop
ALTER TABLE field_year ADD COLUMN catch_crop TEXT CHECK (catch_crop IS NULL OR json_valid(catch_crop));
