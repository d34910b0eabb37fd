# frozen_string_literal: true

require_relative "../support/app_helper"

# A sheet that nobody arranged is laid out afresh after the act that it grew by: that goes and comes back with the act.
class GrowthKeptTest < Minitest::Test
  include AppHelper

  def setup
    super
    @project = project("sheet S: logical network")
    @sheet = sheet_of(@project, "S").id
  end

  def session(&) = Store::ProjectSession.for(@project.id).open(&)

  def say(line, grow: :at_once)
    session do |open|
      open.act(said: line, by: "test", sheet_id: @sheet, grow:) { |draft| Basalt::Statements::Document.new(line).into(draft, sheet_id: @sheet) }
    end
  end

  # Where everything stands, whatever its id is.
  def drawn = model_of(@project).placements.each.sort_by(&:ordinal).map { |placed| placed.to_h.except(:id, :sheet_id, :element_id) }

  def grow = session { |open| open.grow(@sheet, by: "test") }
  def turn(way) = session { |open| open.public_send(way, by: "test", sheet_id: @sheet) }
  def standing = rows(model_of(@project))

  # Names first, then what joins them, so that what stands there is worse and worse.
  def lines(count)
    random = Random.new(5)
    Array.new(count) { |n| "server s#{n}" } + (1...count).to_a.shuffle(random:).map { |n| "s#{n} to s#{random.rand(n)}" }
  end

  def test_an_act_and_what_it_grew_to_are_undone_and_done_again_together
    states = [standing]
    grew = lines(24).count do |line|
      outcome = say(line)
      kept = outcome.grown && grow
      states << standing
      kept
    end
    assert_operator grew, :>, 3
    assert_equal rows(model_of(@project)), rows(Store::ProjectSession.for(@project.id).open(&:set))

    back = states.reverse.drop(1)
    back.each_with_index { |state, n| turn(:undo) && assert_equal(state, standing, "undo #{n}") }
    assert_nil turn(:undo)
    states.drop(1).each_with_index { |state, n| turn(:redo) && assert_equal(state, standing, "redo #{n}") }
    assert_nil turn(:redo)
  end

  def test_what_grew_is_kept_in_a_document_of_the_project
    lines(24).each { |line| say(line) }
    grow
    text = Store::Archive.write(@project.id)
    turn(:undo)
    before = drawn
    @project = Store::Archive.read(text) { flunk }
    @project = Store::Project.find(@project) if @project.is_a?(String)
    @sheet = sheet_of(@project, "S").id
    refute_equal before, drawn
    turn(:undo)
    assert_equal before, drawn
  end

  def test_only_what_was_worked_out_of_the_newest_is_kept
    lines(24).each { |line| say(line) }
    before = nil
    session do |open|
      say("s1 to s9")
      before = standing
      assert_nil open.grow(@sheet, by: "test")
    end
    assert_equal before, standing
    turn(:undo)
    assert_nil grow, "there is something to do again"
  end

  def test_a_sheet_whose_places_follow_from_the_model_never_grows
    @project = project("sheet T: activities", name: "Ruled")
    @sheet = sheet_of(@project, "T").id
    (1..40).each { |n| refute say("role r#{n}").grown }
    assert_nil grow
  end

  def test_nothing_grows_where_somebody_arranged_it_or_where_it_is_as_good
    lines(24).each { |line| say(line) }
    grow
    assert_nil grow
    session do |open|
      key = open.set.things_on(@sheet).first.id
      placed = open.set.placement(@sheet, key)
      open.act(said: "moved", by: "test", sheet_id: @sheet) do |draft|
        draft.apply(Basalt::Change::Arrange.new(placement_id: placed.id, to: { x: 2000, y: 2000, by_hand: true }))
      end
    end
    refute say("s2 to s11").grown
    assert_nil grow
  end
end
