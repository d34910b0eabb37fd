# frozen_string_literal: true

require_relative "../support/request_helper"

# Interactions through the pages: lines where they belong, what is done with them, ways through, and what carries the use cases.
class InteractionPagesTest < Minitest::Test
  include RequestHelper

  TALK = "project P\nsheet U: use cases\nsystem Desk\nactor Operator\nuse case Look in Desk\nOperator starts Look\n" \
         "step 1 of Look by Operator: look\nstep 2 of Look: log it\nbranch 1a of Look: nothing is there\nstep 1a1 of Look: say so\n" \
         "branch 2a of Look going on at 1: it is late\nstep 2a1 of Look by Operator: hurry\n" \
         "sheet T: sequence\nA asks B: 1\neither when x\nB answers A: 2\nor when otherwise\nB answers A: 3\nend"

  def setup
    super
    @project = project(TALK)
    turn("T")
  end

  def turn(name) = @path = "/projects/#{@project.id}/sheets/#{sheet_of(@project, name).id}"
  def set = model_of(@project)
  def words = Nokogiri::HTML5(last_response.body).text.gsub(/\s+/, " ")
  def lines(name = "T") = Basalt::Statements::Unparser.new(set).script(sheet_of(@project, name).id).map { |_, line| line.strip }
  def said(text) = set.of_kind("message").find { |one| one.name == text }.id

  def act(path, **values)
    post "#{@path}/#{path}", { token:, **values }, "HTTP_HX_REQUEST" => "true", "HTTP_X_ACT" => @act = SecureRandom.uuid
    assert_predicate last_response, :ok?, last_response.body
    last_response.body
  end

  def test_a_line_goes_behind_what_is_selected_or_what_was_said_last
    act("statements", statements: "A tells B: first", behind: said("1"))
    act("statements", statements: "A tells B: second", follows: @act)
    body = act("statements", statements: "optionally when y", follows: @act)
    assert_match(/data-y="\d+"/, body)
    act("statements", statements: "A tells B: third", follows: @act)
    act("statements", statements: "end", follows: @act)
    act("statements", statements: "A asks B: fourth", follows: @act)
    assert_includes last_response.body, "data-answer=\"B answers A: \""
    assert_equal ["A asks B: 1", "A tells B: first", "A tells B: second", "optionally when y", "A tells B: third", "end",
                  "A asks B: fourth"],
                 lines.first(7)
    post "#{@path}/statements", { token:, statements: "or when z" }, "HTTP_HX_REQUEST" => "true"
    assert_includes last_response.body, "there is no fragment here for “or”"
  end

  def test_messages_are_answered_turned_copied_moved_wrapped_and_branched
    act("message-turned/#{said("1")}")
    assert_equal "B asks A: 1", lines.first
    act("message-turned/#{said("1")}")
    act("copied-in-order", chosen: said("1"))
    assert_equal ["A asks B: 1", "A asks B: 1"], lines.first(2)
    act("undo")
    act("in-order", chosen: said("3"), by: -1)
    assert_equal ["A asks B: 1", "B answers A: 3", "either when x"], lines.first(3)
    act("undo")
    act("wrapped", chosen: said("1"), operator: "loop", guard: "more")
    assert_equal ["repeat while more", "A asks B: 1", "end", "either when x"], lines.first(4)
    act("answered/#{said("1")}")
    assert_equal ["repeat while more", "A asks B: 1", "B answers A", "end"], lines.first(4)
    fragment = set.of_kind("fragment").find { |one| one["operator"] == "alternatives" }.id
    act("branched/#{fragment}")
    assert_equal ["or", "end"], lines.last(2)
    act("removed-whole/#{fragment}")
    assert_equal(["A asks B: 1"], set.of_kind("message").filter_map { |one| "A asks B: #{one.name}" if one.name })
    assert_includes act("caused/#{said("1")}"), "data-fresh=\"#{said("1")}"
    { "wrapped" => { chosen: said("1"), operator: "x" }, "in-order" => { chosen: SecureRandom.uuid } }.each do |path, values|
      post "#{@path}/#{path}", { token:, by: 1, **values }, "HTTP_HX_REQUEST" => "true"
      assert_includes 400..499, last_response.status, path
    end
  end

  def test_a_message_is_dragged_to_another_height_and_drawn_from_one_to_another
    places = ->(id) { Basalt::Drawing::Geometry.of(set, sheet_of(@project, "T").id).places.fetch(id)[:route]["points"].first.last }
    y = places.(said("3"))
    act("bent/#{said("1")}", points: JSON.generate([[0, y + 3], [90, y + 3]]))
    assert_equal ["either when x", "B answers A: 2", "or when otherwise", "B answers A: 3", "A asks B: 1", "end"], lines
    a, b = %w[A B].map { |name| set.named(name).find { |one| one.kind == "participant" }.id }
    act("connected", from: b, to: a, y: places.(said("2")) + 3)
    assert_equal ["either when x", "B answers A: 2", "B asks A", "or when otherwise"], lines.first(4)
  end

  def test_ways_are_told_played_and_exported
    get "#{@path}/scenario/2"
    assert_equal ["A asks B: 1", "(otherwise)", "B answers A: 3"], JSON.parse(last_response.body).map(&:last)
    get "#{@path}/scenario/9"
    assert_equal 404, last_response.status
    get "#{@path}/scenarios.csv"
    assert_includes last_response.body, "T,2,2,otherwise,B answers A: 3"
    get "#{@path}/scenarios.md"
    assert_includes last_response.body, "2 scenarios."
    get "#{@path}/traffic.csv"
    assert_includes last_response.body, "B,2,0"
    %w[scenarios traffic].each do |face|
      get "#{@path}/faces/#{face}"
      assert_predicate last_response, :ok?
    end
    get "#{@path}/faces/scenarios"
    assert_includes words, "Scenario 2"
  end

  def test_an_interaction_is_begun_from_the_steps_of_a_use_case_and_shown_as_a_communication
    use_case = set.named("Look").first
    draft = Basalt::Change::Draft.new(set)
    sheet = Basalt::Software::Interactions::Opener.new.draw(draft, use_case)
    told = Basalt::Statements::Unparser.new(draft).script(sheet).map { |_, line| line.strip }
    assert_equal ["Operator asks Desk: look", "break when nothing is there", "Desk itself: say so", "end", "Desk itself: log it",
                  "optionally when it is late", "Operator asks Desk: hurry", "end"], told
    post "#{@path}/shown-as/communication", { token: }
    turn("T: communication")
    get @path
    assert_includes last_response.body, "3"
    assert_equal %w[A B], set.things_on(sheet_of(@project, "T: communication").id).map(&:name)
    turn("T")
    act("statements", statements: "B tells C: more")
    assert_equal %w[A B C], set.things_on(sheet_of(@project, "T: communication").id).map(&:name)
  end

  def test_agreement_is_told_with_its_holes_and_from_the_other_end
    get "/projects/#{@project.id}/agreement"
    assert_includes words, "use-case-without-interaction"
    turn("U")
    act("statements", statements: "T comes from Look")
    get "/projects/#{@project.id}/agreement"
    assert_includes words, "class-unknown"
    get "/projects/#{@project.id}/agreement.csv"
    assert_includes last_response.body, "Look,T,1,\"\",\"\",\"\",class"
  end
end
