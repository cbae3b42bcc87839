-- Companies with sites, jobs, machines and what was recorded on them, for bin/bench scale.
-- psql -v companies=300 -v machines=200000 -v readings=2000000
BEGIN;
CREATE TEMP TABLE made ON COMMIT DROP AS
    SELECT n, nextval('companies_id_seq') AS id FROM generate_series(1, :companies) n;
INSERT INTO companies (id, name, units, time_zone, is_demo, created_at, updated_at)
    SELECT id, 'Company ' || n, 'us', 'UTC', false, now(), now() FROM made;
CREATE TEMP TABLE people ON COMMIT DROP AS
    SELECT m.id AS company_id, r.role, nextval('users_id_seq') AS id FROM made m CROSS JOIN (VALUES ('starter'), ('lead'), ('office')) r(role);
INSERT INTO users (id, company_id, name, email, password, role, units, theme, field_units, created_at, updated_at)
    SELECT id, company_id, initcap(role) || ' ' || company_id, role || company_id || '@scale.example', 'x', role, 'us', 'light', '{}', now(), now() FROM people;
-- Twenty machines a job, one job a site; one job of each company is today's.
CREATE TEMP TABLE work ON COMMIT DROP AS
    SELECT m.id AS company_id, k AS nth, nextval('sites_id_seq') AS site_id, nextval('site_jobs_id_seq') AS job_id
    FROM made m CROSS JOIN generate_series(1, greatest(1, :machines / :companies / 20)) k;
INSERT INTO sites (id, company_id, name, address, altitude_m, safety, created_at, updated_at)
    SELECT site_id, company_id, (ARRAY['Mill', 'Weir', 'Quarry', 'Harbour', 'Station', 'Orchard', 'Chapel', 'Foundry'])[1 + nth % 8] || ' House ' || nth, nth || ' Long Road', 100, '{}', now(), now() FROM work;
INSERT INTO site_jobs (id, company_id, site_id, title, type, start_up_only, facts, asked, starts_on, ends_on, created_at, updated_at)
    SELECT job_id, company_id, site_id, 'Start-up ' || nth, 'rooftop', true, '["taps"]', '[]', CASE WHEN nth = 1 THEN current_date ELSE current_date - 400 END, CASE WHEN nth = 1 THEN current_date ELSE current_date - 390 END, now(), now() FROM work;
INSERT INTO job_people (company_id, site_job_id, user_id)
    SELECT w.company_id, w.job_id, p.id FROM work w JOIN people p ON p.company_id = w.company_id AND p.role = 'starter' WHERE w.nth <= 40;
CREATE TEMP TABLE units ON COMMIT DROP AS
    SELECT w.company_id, w.job_id, w.nth, k AS position, nextval('machines_id_seq') AS id FROM work w CROSS JOIN generate_series(1, 20) k;
INSERT INTO machines (id, company_id, site_job_id, name, place, serial, summary, position, last_at, created_at, updated_at)
    SELECT id, company_id, job_id, 'RTU-' || position, 'roof', 'SN-' || id, '12.5 ton', position, 0, now(), now() FROM units;
CREATE TEMP TABLE taken ON COMMIT DROP AS
    SELECT u.company_id, u.id AS machine_id, p.id AS user_id, e AS at, nextval('entries_id_seq') AS id, now() - interval '400 days' + (u.nth || ' hours')::interval + (e || ' minutes')::interval AS moment
    FROM (SELECT * FROM units ORDER BY nth, position LIMIT :readings / 10) u
    JOIN people p ON p.company_id = u.company_id AND p.role = 'starter' CROSS JOIN generate_series(1, 3) e;
INSERT INTO entries (id, company_id, machine_id, at, kind, user_id, device_id, device_at, recorded_at, placed_at, out_of_order, reason, details)
    SELECT id, company_id, machine_id, at, 'check', user_id, 'scale', moment, moment, moment, '[]', '', '{}' FROM taken;
INSERT INTO verdicts (company_id, machine_id, entry_id, at, "check", check_version, subject, status, marginal, codes, units, input, findings, said)
    SELECT company_id, machine_id, id, at, (ARRAY['power.voltage', 'power.rotation', 'power.circuit'])[at], 1, 'machine', 'clear', false, '[]', 'us', '{"volts_ab": "480 V"}', '[]', '{"headline": "Fit to run on.", "because": [], "next": [], "basis": []}' FROM taken;
INSERT INTO readings (company_id, machine_id, entry_id, at, recorded_at, device_at, user_id, "check", path, kind, value_read, unit_read, value, unit)
    SELECT t.company_id, t.machine_id, t.id, t.at, t.moment, t.moment, t.user_id, 'power.voltage', (ARRAY['volts_ab', 'volts_bc', 'volts_ca'])[1 + n % 3], 'voltage', 480, 'V', 480, 'V'
    FROM taken t CROSS JOIN generate_series(1, CASE WHEN t.at = 1 THEN 4 ELSE 3 END) n;
UPDATE machines SET last_at = 3 WHERE id IN (SELECT machine_id FROM taken);
COMMIT;
ANALYZE;
