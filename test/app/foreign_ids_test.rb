# frozen_string_literal: true

require_relative "../support/request_helper"

# Every record is reached through its project: ids of another project find nothing, tell nothing and alter nothing.
class ForeignIdsTest < Minitest::Test
  include RequestHelper

  SECRET = "Zennor"
  OTHER = <<~TEXT.freeze
    sheet #{SECRET} net: logical network
    subnet #{SECRET} subnet 10.9.0.0/24
    server #{SECRET} server
    router #{SECRET} router
    #{SECRET} server on #{SECRET} subnet at .10
    #{SECRET} router on #{SECRET} subnet at .1
    sheet #{SECRET} model: entities
    entity #{SECRET} Crew
    entity #{SECRET} Job
    #{SECRET} Crew has #{SECRET} code key
    a #{SECRET} Crew does zero or more #{SECRET} Job; a #{SECRET} Job is done by exactly one #{SECRET} Crew
    sheet #{SECRET} brief: requirements
    requirement #{SECRET} R1: #{SECRET} must stay hidden.
    sheet #{SECRET} flows: data flow
    process #{SECRET} Register
    store #{SECRET} book
    #{SECRET} Register gives #{SECRET} notes to #{SECRET} book
  TEXT
  # What a request may name that stands for an element, a placement or a sheet.
  NAMED = %w[chosen selected id element from to owner thing into other sheet act pinned].freeze
  VALUES = {
    "statements" => "server fresh",
    "name" => "fresh",
    "fact" => "name",
    "value" => "fresh",
    "x" => "10",
    "y" => "10",
    "noun" => "server",
    "how" => "left",
    "layout_style" => "rows",
    "role" => "thing",
    "kind" => "device",
    "text" => "",
    "before" => "",
    "sure" => "yes",
    "notation" => "entities",
    "part" => "labels",
    "on" => "yes",
    "end" => "from",
    "reason" => "because",
    "facts" => "{}"
  }.freeze

  def setup
    super
    @other = project(OTHER, name: "#{SECRET} project")
    @foreign =
      model_of(@other).then do |set|
        { sheet: set.sheet_list.map(&:id), element: set.elements.each.map(&:id), placement: set.placements.each.map(&:id) }
      end
    @own = model_of(@project).things_on(@sheet.id).first.id
    @before = rows(model_of(@other))
    @random = Random.new(8)
    token
  end

  def routes(verb) = Web::RouteTable.all.select { |route| route.verb == verb }.map(&:path).select { |path| path.include?(":project_id") }

  # An address of this project with everything behind it from the other.
  def foreign(pattern)
    pattern
      .gsub(%r{/\?}, "/")
      .gsub(/\?\z/, "")
      .gsub(/:(\w+)\??/) do
        case Regexp.last_match(1)
        when "project_id"
          @project.id
        when "sheet_id"
          @foreign[:sheet].sample(random: @random)
        when "kind"
          "device"
        else
          @foreign.values.flatten.sample(random: @random)
        end
      end
  end

  # An address within this project, of its own.
  def own(pattern)
    pattern
      .gsub(%r{/\?}, "/")
      .gsub(/\?\z/, "")
      .gsub(/:(\w+)\??/) do
        case Regexp.last_match(1)
        when "project_id"
          @project.id
        when "sheet_id"
          @sheet.id
        when "kind"
          "device"
        else
          @own
        end
      end
  end

  def assert_told_nothing(message)
    refute_includes last_response.body.to_s.b, SECRET, message
    assert_operator last_response.status, :<, 500, message
  end

  def assert_nothing_altered = assert_equal(@before, rows(model_of(@other)))

  def test_pages_of_another_project_are_not_found_by_way_of_this_one
    routes("GET")
      .select { |path| path.scan(":").length > 1 && path.include?(":sheet_id") }
      .each do |pattern|
        get foreign(pattern)
        assert_equal 404, last_response.status, pattern
        assert_told_nothing pattern
      end
  end

  def test_no_page_tells_of_another_project_whatever_it_is_asked_for
    routes("GET").each do |pattern|
      [foreign(pattern), own(pattern)].each do |address|
        NAMED
          .sample(4, random: @random)
          .push("q")
          .each do |name|
            get "#{address}?#{name}=#{name == "q" ? "Crew" : @foreign.values.flatten.sample(random: @random)}"
            assert_told_nothing "#{pattern} with #{name}"
          end
      end
    end
  end

  def test_no_act_alters_another_project_or_tells_of_it
    routes("POST")
      .reject { |path| path.match?(%r{/proof\z|/take\z|/removed-for-good\z}) }
      .each do |pattern|
        [foreign(pattern), own(pattern)].each do |address|
          given = VALUES.merge(NAMED.to_h { |name| [name, @foreign.values.flatten.sample(random: @random)] })
          post address, given.merge("token" => token), "HTTP_HX_REQUEST" => "true"
          assert_told_nothing pattern
        end
      end
    assert_nothing_altered
  end

  def test_statements_cells_and_moves_that_name_ids_of_another_project_are_refused
    ids = @foreign[:element]
    placed = @foreign[:placement]
    {
      "cells" => {
        kind: "device",
        cells: JSON.generate(ids.map { |id| [id, "name", "taken"] })
      },
      "moves" => {
        moves: JSON.generate(placed.map { |id| [id, 1, 2] })
      },
      "facts/#{ids.first}" => {
        fact: "name",
        value: "taken"
      }
    }.each do |path, values|
      send_act(path, values)
      assert_told_nothing path
    end
    assert_nothing_altered
  end

  def test_the_search_of_a_project_finds_its_own_alone
    get "/projects/#{@project.id}/search?q=#{SECRET}"
    refute_includes last_response.body.sub(/value="#{SECRET}"/, "").gsub("“#{SECRET}”", ""), SECRET
    get "/projects/#{@other.id}/search?q=#{SECRET}"
    assert_includes last_response.body, "#{SECRET} server"
  end

  def test_without_its_token_no_act_is_taken
    routes("POST").each do |pattern|
      post own(pattern), VALUES, "HTTP_HX_REQUEST" => "true"
      assert_equal 403, last_response.status, pattern
      assert_match(/script-src/, last_response.headers["content-security-policy"].to_s, pattern)
    end
  end
end
