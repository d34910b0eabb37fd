# frozen_string_literal: true

require_relative "../support/core_helper"

# Statements in blocks, and the order of lines as the order of what they tell.
class BlocksTest < Minitest::Test
  include CoreHelper

  PROCESSES = ["Leak response", "Take report", "Find leak, soon", "within", "Mend main"].freeze

  # Rows within processes that are within each other, and some within none.
  def table(seed)
    random = Random.new(seed)
    inside = (1...PROCESSES.length).map { |n| "process #{quote(PROCESSES[n])} in #{quote(PROCESSES[random.rand(n)])}" }
    where =
      Array
        .new(14) { random.rand(4).zero? ? nil : PROCESSES.sample(random:) }
        .then { |list| random.rand(2).zero? ? list : list.sort_by(&:to_s) }
    rows =
      where.each_with_index.map do |name, n|
        "#{%w[Clerk Caller].sample(random:)} does thing #{n}#{", processing" if n.odd?}#{", within #{quote(name)}" if name}"
      end
    model(
      [
        "project P",
        "process #{quote(PROCESSES.first)}",
        *inside,
        "sheet S: activities, about Leak response",
        "role Clerk",
        "outsider Caller",
        *rows
      ].join("\n")
    )
  end

  def quote(name) = Statements::Quoting.quote(name)
  def sheet(set) = set.sheet_list.first.id
  def lines(set) = Statements::Unparser.new(set).reading(sheet(set)).flatten(1).flat_map(&:last)
  def rows(set) = Process::Acts.sorted(set.of_kind("activity")).map(&:name)

  def edit(set, before, after)
    patch = Statements::ReadingPatch.new(set, sheet(set), before, after)
    draft = patch.into(Change::Draft.new(set, ids: -> { SecureRandom.uuid }))
    [draft, patch.refused]
  end

  def test_blocks_are_told_and_read_back
    nested = 0
    40.times do |seed|
      set = table(seed)
      text = reading(set)
      assert_equal facts(set), facts(model(text)), text
      assert_equal text, reading(model(text)), "told again"
      assert_equal text.scan(/^ *end$/).length, text.scan(/^ *within .*:$/).length
      nested += 1 if text.match?(/^  within .*:$/)
      draft, refused = edit(set, lines(set), lines(set))
      assert_empty refused
      assert_predicate draft.effect, :empty?
    end
    assert_operator nested, :>, 3
  end

  # Whatever order the lines are brought into is the order of the rows, and few rows get another key.
  def test_a_moved_line_is_a_move
    30.times do |seed|
      random = Random.new(seed)
      set = table(seed)
      flat = Statements::Unparser.new(set).sentences(sheet(set)).select { |id, _| set.element(id).kind == "activity" }.flat_map(&:last)
      moved = flat.dup
      count = random.rand(1..3)
      count.times { moved.insert(random.rand(moved.length), moved.delete_at(random.rand(moved.length))) }
      draft, refused = edit(set, flat, moved)
      assert_empty refused
      assert_equal(moved.map { |line| line[/thing \d+/] }, rows(draft).map { |name| name[/thing \d+/] }, "#{seed}: #{flat.join(" | ")}")
      set.advance(draft.effect)
      spread(set, random)
    end
  end

  # With room between the keys a line that is moved alters one row.
  def spread(set, random)
    ids = Process::Acts.sorted(set.of_kind("activity")).map(&:id)
    draft = Change::Draft.new(set)
    ids.each_with_index { |id, index| Change::Set.new(id:, fact: "row", value: (index * 1000).to_s).apply(draft) }
    set.advance(draft.effect)
    flat = Statements::Unparser.new(set).sentences(sheet(set)).select { |id, _| set.element(id).kind == "activity" }.flat_map(&:last)
    moved = flat.dup
    moved.insert(random.rand(moved.length), moved.delete_at(random.rand(moved.length)))
    assert_operator edit(set, flat, moved).first.effect.deltas.length, :<=, 1
  end

  def test_a_line_goes_into_a_block_out_of_one_and_a_new_one_stands_where_it_was_written
    set =
      model(
        "project P\nprocess A\nprocess B in A\nprocess C in A\nsheet S: activities, about A\nrole Clerk\n" \
        "within B:\n  Clerk one\n  Clerk two\nend\nwithin C:\nClerk three\nClerk four\nend\nClerk five"
      )
    assert_equal(
      ["within B:", "  Clerk one", "  Clerk two", "end", "within C:", "  Clerk three", "  Clerk four", "end", "Clerk five", "role Clerk"],
      lines(set)
    )
    draft, refused =
      edit(
        set,
        lines(set),
        [
          "Clerk five",
          "within C:",
          "Clerk one",
          "Clerk six, processing",
          "Clerk four",
          "end",
          "within B:",
          "Clerk two",
          "Clerk three",
          "end",
          "role Clerk"
        ]
      )
    assert_empty refused
    assert_equal %w[five one six four two three], rows(draft)
    within = draft.of_kind("activity").to_h { |row| [row.name, row.container_id && draft.element(row.container_id).name] }
    assert_equal({ "one" => "C", "two" => "B", "three" => "B", "four" => "C", "five" => nil, "six" => "C" }, within)
  end

  # Who takes part stands in the order of their lines where each has a lane, and nowhere else.
  def test_a_moved_declaration_is_a_moved_lane_on_the_table_alone
    set = model("project P\nprocess A\nsheet S: activities, about A\nrole Clerk\nrole Boss\noutsider Caller\nsheet C: context\nrole " \
                "Clerk\nrole Boss\noutsider Caller")
    order = ->(of) { of.of_kind("party").sort_by { |one| [Change::Reorder.key(one), one.ordinal] }.map(&:name) }
    moved = ["outsider Caller", "role Clerk", "role Boss"]
    table, context =
      set.sheet_list.map do |sheet|
        Statements::ReadingPatch.new(set, sheet.id, Statements::Unparser.new(set).sheet(sheet.id), moved).into(Change::Draft.new(set))
      end
    assert_equal %w[Caller Clerk Boss], order.call(table)
    assert_equal %w[Clerk Boss Caller], order.call(context)
  end

  def test_what_is_wrong_with_a_block_is_told_at_its_line
    start = "project P\nprocess A\nsheet S: activities\nrole Clerk\n"
    {
      "within A:\nClerk one" => "line 5: “within A:” is not closed; there could stand “end”",
      "Clerk one\nend" => "line 6: there is no block to end here",
      "within A:\nrole Boss\nend" => "line 6: this cannot stand in the block “within A:”",
      "within Nothing:\nend" => /\Aline 5: “Nothing” is not understood here/,
      "within A:\nsheet T: entities\nend" => "line 6: a block is closed with “end” before the next sheet"
    }.each do |text, message|
      error = assert_raises(Statements::Misread, text) { model(start + text) }
      assert_operator message, :===, error.message.lines.first.chomp
    end
    set = model("#{start}within A:\nClerk one\nend")
    draft, refused = edit(set, lines(set), ["within A:", "Clerk one", "Clerk two"])
    assert_predicate draft.effect, :empty?
    assert_equal([[0, "within A:", "“within A:” is not closed; there could stand “end”"]], refused.map { |one| one.to_h.values })
  end
end
