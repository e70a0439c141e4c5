-- Points named the price of a sign by the piece.
UPDATE "sweep_points"
SET "data" = (("data"::jsonb - 'costPerPiece') || jsonb_build_object('costPerSign', "data"::jsonb -> 'costPerPiece'))::json
WHERE "data"::jsonb ? 'costPerPiece';
