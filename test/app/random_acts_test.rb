# frozen_string_literal: true

require_relative "../support/request_helper"

# Whatever a page offers can be done on every sheet of the sample, in any order; all of it can be
# undone, back to what was there at the beginning, and done again. ACTS says how many on each sheet.
class RandomActsTest < Minitest::Test
  include RequestHelper

  ACTS = Integer(ENV.fetch("ACTS", "14"), 10)
  WAYS = %i[
    move
    tidy
    pin
    emphasise
    collapse
    take_off
    remove
    duplicate
    connect
    place
    view
    variant
    quiet
    name
    cell
    size
    bend
    number
    fact
  ].freeze

  def project_session(&) = Store::ProjectSession.for(@project.id).open(&)
  def sheet = project_session { |one| one.set.sheets[@sheet_id] }

  def things
    project_session do |one|
      drawn = Basalt::Drawing::AsDrawn.of(one.set, @sheet_id)
      one.set.things_on(@sheet_id).select { |thing| drawn.placement(@sheet_id, thing.id)&.box }
    end
  end

  def lines =
    project_session do |one|
      one.set.sheets[@sheet_id].notation.lines_on(one.set, @sheet_id).select { |line| one.set.placement(@sheet_id, line.id)&.route }
    end

  def some(list, most = 3) = list.sample(@random.rand(1..most), random: @random)
  def chosen(list) = { chosen: list.map(&:id).join(" ") }
  def word = "w#{@random.rand(100_000)}"

  def try_move
    some(things).then do |list|
      unless list.empty?
        [
          "moves",
          {
            moves: list.map { |one| [one.id, @random.rand(-200..200), @random.rand(-200..200)] }.to_json,
            dropped: %w[yes no].sample(random: @random)
          }
        ]
      end
    end
  end

  def try_tidy = things.empty? || @random.rand < 0.5 ? ["tidy", {}] : ["tidy", chosen(some(things)).merge(part: "yes")]
  def try_pin = some(things).then { |list| ["pinned", chosen(list).merge(pinned: %w[yes no].sample(random: @random))] unless list.empty? }

  def try_emphasise =
    some(things).then { |list| ["emphasised", chosen(list).merge(emphasis: ["phase 2", ""].sample(random: @random))] unless list.empty? }

  def try_take_off = some(things, 2).then { |list| ["taken-off", chosen(list)] unless list.empty? }
  def try_remove = some(things + lines, 2).then { |list| ["removed", chosen(list).merge(sure: "yes")] unless list.empty? }
  def try_view = ["view", { part: %w[labels parallels].sample(random: @random), on: %w[yes no].sample(random: @random) }]

  def try_quiet =
    some(lines).then { |list| ["labels-hidden", chosen(list).merge(on: %w[yes no].sample(random: @random))] unless list.empty? }

  def try_number = ["title", { number: word }]

  def try_collapse
    list =
      project_session do |one|
        Basalt::Drawing::Nesting
          .new(one.set, @sheet_id)
          .then { |nesting| things.select { |thing| nesting.boundary?(thing.id) || nesting.closed?(thing.id) } }
      end
    ["collapsed", chosen(some(list, 1)).merge(closed: %w[yes no].sample(random: @random))] unless list.empty?
  end

  def try_duplicate
    list = some(things.reject { |thing| thing.name == thing.description.default_name(thing.noun) })
    ["duplicated", chosen(list)] unless list.empty?
  end

  def try_connect
    one, other = things.sample(2, random: @random)
    kinds = other ? project_session { |open| Basalt::Change::Join.possible(open.set, one.id, other.id, sheet.notation.joining) } : []
    ["connected", { from: one.id, to: other.id, join: kinds.sample(random: @random), id: SecureRandom.uuid }] unless kinds.empty?
  end

  def try_place
    noun =
      sheet.notation.chips.map(&:first).reject { |one| Basalt::Model::Catalogue.nouns[one][0].default_name(one) }.sample(random: @random)
    ["placed", { noun:, x: @random.rand(800), y: @random.rand(600), name: word, id: SecureRandom.uuid }] if noun
  end

  def try_variant
    ways = [nil, *sheet.notation.variants.keys]
    ["variant", { variant: ways.sample(random: @random).to_s }] if ways.length > 1
  end

  def try_name =
    things
      .select { |thing| thing.description.named? }
      .sample(random: @random)
      .then { |one| ["inplace/#{one.id}", { facts: { name: word }.to_json }] if one }

  def try_fact = things.sample(random: @random).then { |one| ["facts/#{one.id}", { fact: "note", value: word }] if one }

  def try_cell
    one = things.select { |thing| thing.description.named? }.sample(random: @random) or return
    ["cells", { kind: one.kind, cells: [[one.id, "name", word], ["new-#{SecureRandom.uuid}", "name", word]].to_json }]
  end

  def try_size
    one = things.select { |thing| sheet.notation.sizable?(thing) }.sample(random: @random)
    ["sized/#{one.id}", { w: @random.rand(60..400), h: @random.rand(20..200) }] if one
  end

  def try_bend
    line = lines.sample(random: @random) or return
    points = project_session { |one| one.set.placement(@sheet_id, line.id).route["points"] }
    ["bent/#{line.id}", { points: @random.rand < 0.4 ? "" : points.to_json }]
  end

  # A rack that is full takes nothing more; the walk goes on.
  FULL = /is in the way, and there is no room for it/

  def walk(sheet_id)
    @sheet_id = sheet_id
    @path = "/projects/#{@project.id}/sheets/#{sheet_id}"
    ACTS.times do
      way = WAYS.sample(random: @random)
      path, values = send("try_#{way}")
      next unless path

      send_act(path, { chosen: "", selected: "", kind: "" }.merge(values))
      next if last_response.status == 422 && last_response.body.match?(FULL)

      assert_equal 200,
                   last_response.status,
                   "#{way} #{path} #{values.inspect[0, 300]} on #{sheet.name}, SEED=#{@seed}: #{last_response.body[0, 400]}"
      get "#{@path}/findings", {}, "HTTP_HX_REQUEST" => "true"
      assert_equal 200, last_response.status, "findings after #{way} on #{sheet.name}, SEED=#{@seed}"
    end
  end

  # @return [Integer] how often
  def turn_all(which)
    (0..(2 * ACTS)).find do
      send_act(which)
      assert_equal 200, last_response.status, "#{which} on #{sheet.name}, SEED=#{@seed}: #{last_response.body[0, 300]}"
      last_response.body.include?("role=\"status\">Nothing to #{which}<")
    end
  end

  def test_whatever_is_done_is_undone_and_done_again
    @seed = ENV.fetch("SEED") { Random.new_seed % 1_000_000 }.to_i
    @random = Random.new(@seed)
    token
    model_of(@project)
      .sheet_list
      .map(&:id)
      .each do |sheet_id|
        before = rows(model_of(@project))
        walk(sheet_id)
        after = rows(model_of(@project))
        done = turn_all("undo")
        assert_equal before, rows(model_of(@project)), "undone on #{sheet.name}, SEED=#{@seed}"
        assert_equal done,
                     turn_all("redo"),
                     "done again on #{sheet.name}, SEED=#{@seed}\n#{
                       Store::JournalEntry
                         .where(project_id: @project.id)
                         .order(:number)
                         .map { |e| [e.number, e.act, e.of_number, e.state, e.said].inspect }
                         .join("\n")
                     }"
        assert_equal after, rows(model_of(@project)), "done again on #{sheet.name}, SEED=#{@seed}"
      end
  end
end
