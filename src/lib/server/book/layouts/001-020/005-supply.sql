-- Products of the adviser's own, manures with their analyses among them.

CREATE TABLE own_product (
	id TEXT PRIMARY KEY,
	product TEXT NOT NULL CHECK (json_valid(product)) -- schemas/products.schema.json#/definitions/Product
) STRICT;
