# frozen_string_literal: true

require_relative "../support/request_helper"
require_relative "../support/stub_any"

# The table of routes: every address is in it and states what it needs, and each answers to whoever has that.
class RoutesTest < Minitest::Test
  include RequestHelper

  ROUTES = Web::RouteTable.all

  def test_every_address_of_the_application_is_in_the_table
    served = Web::Application.routes.slice("GET", "POST").flat_map { |verb, list| list.map { |pattern, *| [verb, pattern.to_s] } }.uniq
    assert_equal served.sort, ROUTES.map { |route| [route.verb, route.path] }.uniq.sort
    assert_equal ROUTES.length, ROUTES.map { |route| [route.verb, route.path] }.uniq.length
    assert_empty Web::Application.routes.keys - %w[GET POST HEAD]
  end

  def test_what_alters_nothing_can_be_seen_and_what_makes_changes_can_not
    ROUTES.each do |route|
      assert_equal route.verb == "GET", route.needs == :see, route.path
      refute route.makes, route.path if route.verb == "GET"
    end
  end

  def test_the_table_is_printed
    out = StringIO.new
    assert_equal 0, CommandLine::Main.run(["routes"], out:, err: StringIO.new)
    assert_equal ROUTES.length, out.string.lines.length
    ROUTES.each { |route| assert_includes out.string, route.path }
  end

  def intake =
    @intake ||= Store::Intake.create!(id: SecureRandom.uuid, project_id: @project.id, content: "name,role\nx,server", file_name: "x.csv")

  def image =
    @image ||=
      Store::Image.create!(
        id: SecureRandom.uuid,
        project_id: @project.id,
        name: "x",
        type: "image/png",
        width: 1,
        height: 1,
        content: "x"
      )

  # What is asked for at an address, and how it ended.
  TASKS = {
    "schemas/pulls" => ["schema-pull", {}],
    "cloud-accounts" => ["cloud-pull", {}],
    "proofs" => ["proof", { ran: 1, of: 1 }],
    "migrations" => ["migration", { steps: [], ran: 0, left: [] }]
  }.freeze

  def task(route)
    kind, result = TASKS.find { |part, _| route.path.include?(part) }&.last || ["export", {}]
    Store::Task.create!(
      id: SecureRandom.uuid,
      project_id: @project.id,
      kind:,
      said_by: "test",
      state: "done",
      arguments: {
        where: "d at h:1"
      },
      result: result.merge(intake_id: schema.id),
      content: "x",
      content_type: "image/png",
      file_name: "x.png"
    )
  end

  def code
    Store::Intake.create!(id: SecureRandom.uuid, project_id: @project.id, content: "class A; end", file_name: "a.rb").tap do |one|
      about = { intake_id: one.id }
      Store::Task.create!(id: SecureRandom.uuid, project_id: @project.id, kind: "code", said_by: "test", arguments: about)
    end
  end

  def schema =
    @schema ||=
      Store::Intake.create!(id: SecureRandom.uuid, project_id: @project.id, content: "CREATE TABLE a (x int);", file_name: "a.sql")

  def account
    content = JSON.generate(format: "cloud inventory", version: 1, account: { id: "a" })
    Store::Intake.create!(id: SecureRandom.uuid, project_id: @project.id, content:, file_name: "a.json").tap do |one|
      about = { intake_id: one.id }
      Store::Task.create!(id: SecureRandom.uuid, project_id: @project.id, kind: "cloud-account", said_by: "test", arguments: about)
    end
  end

  def taken(intake)
    intake.task ||
      Store::Task.create!(
        id: SecureRandom.uuid,
        project_id: @project.id,
        kind: "inventory",
        said_by: "test",
        arguments: {
          intake_id: intake.id
        }
      )
    intake
  end

  def intake_of(route)
    case route.path
    when %r{/code/} then code
    when %r{/cloud-accounts/} then account
    when %r{/schemas/} then schema
    else taken(intake)
    end
  end

  # What a parameter of an address can be, in the sample.
  def candidates(route, name, set)
    case name
    when "project_id"
      [@project.id]
    when "sheet_id"
      set.sheet_list.map(&:id)
    when "element_id"
      set.elements.each.group_by(&:kind).values.flat_map { |list| list.first(1) }.map(&:id)
    when "source_id"
      set.of_kind("source").map(&:id)
    when "kind"
      %w[device attribute]
    when "key"
      %w[container]
    when "task_id"
      [task(route).id]
    when "intake_id"
      [intake_of(route).id]
    when "engine"
      %w[sqlite mariadb iso]
    when "face"
      %w[taking-part access]
    when "other_id"
      set.of_kind("use case", "entity").first(2).map(&:id)
    when "number"
      %w[1]
    when "beginning"
      [Rack::Utils.escape_path(Basalt::Cloud::Beginnings.all.first.name)]
    when "image_id"
      [image.id]
    else
      flunk "nobody says what #{name} is"
    end
  end

  def addresses(route, set)
    route
      .parameters
      .reduce([route.path.gsub(/[?]/, "")]) do |paths, name|
        paths.product(candidates(route, name, set)).map { |path, value| path.sub(":#{name}", value) }
      end
  end

  def test_each_page_answers_to_whoever_has_what_it_needs
    set = model_of(@project)
    finding = Basalt::Checks::Runner.new(set).findings.find(&:repair).key
    ROUTES
      .select { |route| route.verb == "GET" }
      .each do |route|
        found =
          addresses(route, set)
            .lazy
            .map do |address|
              get("#{address}?#{URI.encode_www_form(chosen: set.things_on(set.sheet_list.first.id).first.id, finding:)}")
              last_response.status
            end
            .find { |status| status < 400 }
        assert found, "#{route.path}: #{last_response.status} #{last_response.body[0, 200]}"
        assert_answered route
      end
  end

  def assert_answered(route)
    return if last_response.redirect?

    type = last_response.content_type
    case route.answers
    when :page
      assert_includes last_response.body, "<!doctype html>", route.path
    when :json
      assert_match(/json/, type, route.path)
    when :part, :pieces
      refute_includes last_response.body, "<!doctype html>", route.path
    when :file
      refute_match(/html/, type, route.path)
    end
  end

  def test_whoever_may_only_see_alters_nothing
    before = rows(model_of(@project))
    Web::Lookup.stub_any(:may?, ->(need) { need == :see }) do
      ROUTES
        .reject { |route| route.needs == :see }
        .each do |route|
          post(addresses_of_own(route), { token: }, "HTTP_HX_REQUEST" => "true")
          assert_equal 403, last_response.status, route.path
        end
      get "/projects/#{@project.id}"
      assert_equal 200, last_response.status
    end
    assert_equal before, rows(model_of(@project))
  end

  def addresses_of_own(route) = route.path.gsub(":project_id", @project.id).gsub(":sheet_id", @sheet.id).gsub(/:\w+/, SecureRandom.uuid)
end
