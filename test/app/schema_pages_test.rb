# frozen_string_literal: true

require_relative "../support/request_helper"
require_relative "../../standins/database/server"

# Schemas that exist come in from files and from databases, and databases are brought up to the model.
class SchemaPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def admin = ActiveRecord::Base.connection.raw_connection
  def server = "#{admin.host}:#{admin.port}"

  def setup
    super
    @environment = ENV.to_h.slice("BASALT_DATABASES")
    ENV["BASALT_DATABASES"] = server
    Standins::Database::Server.new(admin).begin
  end

  def teardown
    ENV.delete("BASALT_DATABASES")
    ENV.update(@environment)
    super
  end

  def read_it(**other)
    about = { server:, database: Standins::Database::Server::NAME, role: Standins::Database::Server::ROLE,
              password: Standins::Database::Server::PASSWORD }
    post("#{base}/schemas/pulls", { token:, **about, **other })
  end

  # @return [Store::Task] once it is through
  def pulled
    assert_equal 302, last_response.status, last_response.body
    task = Store::Task.find(last_response.location[/[^\/]+\z/])
    Store::Task.uncached { task.wait(20) }
  end

  def intake
    read_it
    task = pulled
    assert_equal "done", task.state, task.result.inspect
    Store::Intake.find(task.result["intake_id"])
  end

  def test_a_database_is_read_looked_at_and_brought_in
    found = intake
    refute_includes Store::Task.order(:created_at).last.attributes.to_s + found.attributes.to_s, "a password for trying only"
    page = get("#{base}/schemas/#{found.id}").body
    assert_match(/7 tables, .*read from tarnwater_meters at #{Regexp.escape(server)}/, page)
    post "#{base}/schemas/#{found.id}/take", { token: }
    assert_match(/Kept as SQL/, last_response.body)
    refute_match(/Not taken/, last_response.body)
    set = model_of(@project)
    sheet = sheet_of(@project, "tarnwater meters")
    assert_includes set.things_on(sheet.id).map(&:name), "billing.bills"
    assert_equal(["CREATE TYPE public.meter_state AS ENUM"], set.named("meter_state").map { |one|
      one["written"].lines.first.strip.delete_suffix(" (")
    })
    migrated(sheet, found)
  end

  # The database that was read and the model that came of it are the same; what is altered then is what is to be done.
  def migrated(sheet, found)
    sheet_base = "#{base}/sheets/#{sheet.id}"
    assert_match "There is nothing to migrate", outcome("#{sheet_base}/migrations", intake: found.id)
    said = "meters has installed_on date\nbilling.tariffs has price numeric(6,2) required"
    post "#{sheet_base}/statements", { token:, statements: said }, "HTTP_HX_REQUEST" => "true"
    page = outcome("#{sheet_base}/migrations", intake: found.id)
    assert_match "Proved: in a scratch database the old state became the new one.", page
    assert_match "ALTER TABLE meters ADD COLUMN installed_on date;", page
    key = Nokogiri.HTML(page).css("input[name='steps[]']").map { |one| one["value"] }
    assert_equal 1, key.length
    path = Nokogiri.HTML(page).at_css("form[action$='script.sql']")["action"]
    assert_match(/^-- ALTER TABLE billing.tariffs ALTER COLUMN price/, get(path).body)
    assert_match(/^ALTER TABLE billing.tariffs ALTER COLUMN price/, get(path, steps: key).body)
    assert_match "ADD COLUMN installed_on", outcome("#{sheet_base}/migrations", since: Store::JournalEntry.maximum(:number) - 1)
    engines(sheet_base)
  end

  def outcome(path, **values)
    post path, { token:, **values }
    follow_redirect!
    last_response.body
  end

  def engines(sheet_base)
    %w[sqlite mariadb iso].each do |engine|
      page = get("#{sheet_base}/engines/#{engine}").body
      assert_match "readings is not partitioned", page
      assert_match(/CREATE TABLE/, get("#{sheet_base}/engines/#{engine}/schema.sql").body)
    end
    post "#{sheet_base}/engines/sqlite/types", { token:, types: "numeric = TEXT" }
    assert_match(/price TEXT NOT NULL/, get("#{sheet_base}/engines/sqlite/schema.sql").body)
    post "#{sheet_base}/proof", { token:, engine: "sqlite" }, "HTTP_HX_REQUEST" => "true"
    assert_match "Proved: the server took all", last_response.body
    assert_match(/20 rows/, get("#{sheet_base}/rows").body)
    assert_match(/INSERT INTO meters/, get("#{sheet_base}/rows-sql", rows: 3).body)
    assert_equal "PK", get("#{sheet_base}/rows-zip", rows: 3).body[0, 2]
    assert_equal 422, get("#{sheet_base}/rows", rows: "many").status
    post "#{sheet_base}/proof", { token:, rows: "4" }, "HTTP_HX_REQUEST" => "true"
    assert_match "Proved: the server took all", last_response.body
    assert_equal 422, post("#{sheet_base}/engines/sqlite/types", { token:, types: "numeric" }).status
    assert_equal 422, get("#{sheet_base}/engines/other").status
    migration_from_a_script(sheet_base)
  end

  def migration_from_a_script(sheet_base)
    assert_match "At an earlier state of the model", get("#{sheet_base}/migration").body
    assert_equal 422, post("#{sheet_base}/migrations", { token: }).status
    file = ->(text) { Rack::Test::UploadedFile.new(StringIO.new(text), "text/plain", original_filename: "old.sql") }
    page = outcome("#{sheet_base}/migrations", schema: file.("CREATE TABLE public.meters (meter_id integer PRIMARY KEY, dial text);"))
    assert_match "all that stands in meters.dial", page
    assert_match "Proved", page
    assert_equal 422, post("#{sheet_base}/migrations", { token:, schema: file.("PGDMP\x01") }).status
    assert_equal 404, post("#{sheet_base}/migrations", { token:, intake: SecureRandom.uuid }).status
  end

  def test_databases_that_cannot_be_read_say_why
    assert_match(/Databases are read here from #{Regexp.escape(server)}/, read_it(server: "db.elsewhere:5432").body)
    assert_match(/Say database, role and password/, read_it(role: " ").body)
    read_it(database: "nowhere")
    task = pulled
    assert_equal "refused", task.state
    assert_match(/does not exist/, task.result["reason"])
    assert_match(/does not exist/, get("#{base}/schemas/pulls/#{task.id}").body)
    other = project("project O\nsheet S: tables", name: "O")
    assert_equal 404, get("/projects/#{other.id}/schemas/pulls/#{task.id}").status
    assert_equal 404, get("/projects/#{other.id}/schemas/#{intake.id}").status
  end

  def test_rows_suggest_what_determines_what
    other = project("project N\nsheet S: tables\ntable crews\ncrews has crew integer key, depot text, manager text", name: "N")
    set = model_of(other)
    page = "/projects/#{other.id}/sheets/#{set.sheet_list.first.id}/tables/#{set.named("crews").first.id}/dependencies"
    get page
    post page, { token:, rows: "crew,depot,manager\n1,North,Ida\n2,North,Ida\n3,South,Ida\n" }
    assert_match "depot determines manager", last_response.body
    assert_equal 302, post("#{page}/said", { token:, left: "depot", right: "manager" }).status
    assert_match "it is in second normal form", get(page).body
    post page, { token:, rows: "depot,manager\nNorth,Ida\nNorth,Olaf\n" }
    assert_match "depot North, manager Olaf", Nokogiri.HTML(last_response.body).text.gsub(/\s+/, " ")
    cells = ['1', 'North', 'Ida', '2', 'North', 'Olaf', *Array.new(6, "")]
    told = post("#{page}/rows", { token:, row_cells: cells }).body
    assert_match "depot North, manager Olaf", Nokogiri.HTML(told).text.gsub(/\s+/, " ")
    refute_match "Refuted", post("#{page}/rows", { token:, row_cells: [*cells.first(3), *Array.new(9, "")] }).body
    assert_equal 422, post("#{page}/said", { token:, left: "wombat", right: "manager" }).status
    assert_equal 422, post(page, { token:, rows: "" }).status
  end

  def test_what_is_kept_and_what_is_missing_of_a_file_is_told
    sql = "CREATE TYPE s AS ENUM ('a');\nCREATE TABLE t (x s);\nCREATE TABLE u (y int REFERENCES nowhere);\n" \
          "GRANT SELECT ON t TO PUBLIC;\nCREATE FUNCTION f() RETURNS int LANGUAGE sql AS $$\n<b>SELECT 1</b>\n$$;"
    schema = Rack::Test::UploadedFile.new(StringIO.new(sql), "text/plain", original_filename: "two_tables.sql")
    post "#{base}/schemas", { token:, schema: }
    page = Nokogiri.HTML(last_response.body).text.gsub(/\s+/, " ")
    assert_match "2 tables, 1 enumeration and 1 function taken", page
    assert_match "u refers to nowhere, which the script does not make", page
    assert_match "1 right given or taken", page
    assert_match "CREATE FUNCTION f() RETURNS int LANGUAGE sql AS $$ <b>SELECT 1</b> $$", page
  end
end
