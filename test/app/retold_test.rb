# frozen_string_literal: true

require_relative "../support/request_helper"
require_relative "../support/stub_any"

# An act that a page asks for again is told again and not done again, also when it is asked for twice at the same time.
class RetoldTest < Minitest::Test
  include RequestHelper

  def ask(path, act, values) = post("#{@path}/#{path}", values.merge(token:), "HTTP_HX_REQUEST" => "true", "HTTP_X_ACT" => act)

  def journal = Store::JournalEntry.where(project_id: @project.id).count

  def test_an_act_that_is_asked_for_again_is_told_again
    [
      ["statements", { statements: "server again-1" }],
      ["cells", { kind: "device", cells: JSON.generate([%w[new1 name again-2], %w[new2 role wombat]]) }],
      ["reading", { before: "", text: "server again-3\nwombat" }]
    ].each do |path, values|
      act = SecureRandom.uuid
      first = ask(path, act, values)
      assert_equal 200, first.status, path
      acts = journal
      again = ask(path, act, values)
      assert_equal [200, acts], [again.status, journal], "#{path}: #{again.body[0, 300]}"
      assert_includes again.body, "data-whole=\"true\""
    end
  end

  # What cannot be drawn was kept all the same, and is told as soon as it can be drawn.
  def test_an_act_that_was_kept_and_cannot_be_drawn_is_said_to_be_kept
    act = SecureRandom.uuid
    given = token
    acts = journal
    answer =
      silenced do
        Basalt::Drawing::Scene.stub_any(:pieces, ->(*) { raise "cannot be drawn" }) do
          post("#{@path}/statements", { statements: "server kept-1", token: given }, "HTTP_HX_REQUEST" => "true", "HTTP_X_ACT" => act)
        end
      end
    assert_equal [500, "yes", acts + 1], [answer.status, answer.headers["x-kept"], journal]
    assert_includes answer.body, "It was kept, but could not be shown."
    assert_equal 1, model_of(@project).named("kept-1").length
    again = ask("statements", act, { statements: "server kept-1" })
    assert_equal [200, acts + 1], [again.status, journal]
    assert_includes again.body, ">kept-1<"
  end

  def silenced
    before, $stderr = $stderr, StringIO.new
    yield
  ensure
    $stderr = before
  end

  # Two threads ask for the same at once; the one that comes second finds it done.
  def test_an_act_that_is_asked_for_twice_at_once_is_done_once
    act = SecureRandom.uuid
    given = token
    cookie = rack_test_session.cookie_jar
    answers =
      Array
        .new(2) do
          Thread.new do
            browser = Rack::Test::Session.new(app).tap { |one| one.cookie_jar = cookie }
            browser.post(
              "#{@path}/statements",
              { statements: "server twice-1", token: given },
              "HTTP_HX_REQUEST" => "true",
              "HTTP_X_ACT" => act
            )
            browser.last_response.status
          ensure
            ActiveRecord::Base.connection_handler.clear_active_connections!
          end
        end
        .map(&:value)
    assert_equal [200, 200], answers
    assert_equal 1, model_of(@project).named("twice-1").length
  end
end
