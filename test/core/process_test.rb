# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_levels"

# Activities, who is outside, context and levels of data flow.
class ProcessTest < Minitest::Test
  include CoreHelper

  L = Basalt::Process::Levels

  EVERYTHING = <<~TEXT
    project Tarnwater
    process %<name>s, purpose "to answer, at once"
    sheet Told: activities, about process %<name>s
    outsider Caller, a person
    role Clerk
    outsider %<name>s, an organisation
    system Desk, owned by "operations, north", purpose telling
    Caller "rings, twice"
    Clerk registers the report, processing, giving "job, new" to Desk, when "it rings: always", within process %<name>s, row 3
    Clerk is inside because the works council asked for it
    sheet Around: context, about process %<name>s
    process %<name>s
    Caller gives "report, first" to process %<name>s, over "paper: A4", owned by "the desk", state in use
    process %<name>s gives something to Caller, state planned
    sheet Level: data flow, about process %<name>s, level Physical
    process Take it, position 2, done by "a clerk"
    process Find it
    process Elsewhere, apart
    store "Job, book", holds "jobs; orders"
    Take it gives %<name>s to "Job, book"
    "Job, book" gives "what was, found" to Find it
    %<name>s consists of place, "caller, name"
    Elsewhere is assumed
  TEXT

  def test_everything_comes_back_with_hostile_names
    [
      "Leak",
      "a, b",
      "gives",
      'say "so"',
      "to",
      "consists of",
      "is outside because",
      "x; y",
      "process",
      "<b>&amp;",
      "within",
      "Clerk gives",
      "(x)",
      "registers"
    ].each do |name|
      set = model(format(EVERYTHING, name: Statements::Quoting.quote(name)))
      again = model(reading(set))
      assert_equal facts(set), facts(again), "#{name}\n#{reading(set)}"
    end
  end

  # Who takes part, as shapes that text books draw: a clerk between a customer and a supplier, a chain of
  # offices, somebody who only carries, a system that works out.
  def test_outside_is_whoever_takes_part_and_processes_no_information
    shapes = {
      "outsider Customer\nrole Clerk\noutsider Supplier\nCustomer orders goods, giving order to Clerk\nClerk checks the order, " \
      "processing\n" \
      "Clerk buys the goods, giving \"purchase order\" to Supplier\nSupplier sends the goods, giving invoice to Clerk" => %w[
        Customer
        Supplier
      ],
      "role Reader\nrole Office\nrole Board\nReader reads the meter, giving reading to Office\n" \
      "Office works out the bill, processing, giving bill to Board\nBoard signs, giving bill to Reader" => %w[Reader Board],
      "role Courier\nrole One\nrole Two\nOne writes a letter, processing, giving letter to Courier\n" \
      "Courier carries the letter, giving letter to Two\nTwo answers it, processing" => ["Courier"],
      "outsider Sensor\nsystem Platform\nrole Operator\nSensor sends a value, giving value to Platform\nPlatform compares it, " \
      "processing, giving alarm to Operator\n" \
      "Operator acknowledges, processing" => ["Sensor"],
      "role Alone\nAlone sums up, processing" => []
    }
    shapes.each do |text, outside|
      set = model("project T\nsheet A: activities\n#{text}")
      verdicts = Basalt::Process::SystemBoundary.new(set).verdicts
      assert_equal outside, verdicts.select(&:outside?).map { |one| set.element(one.party_id).name }, text
    end
    set =
      model(
        "sheet A: activities\nrole Clerk\noutsider Caller\nCaller rings, giving report to Clerk\nClerk is outside because it is another " \
        "house"
      )
    assert_equal(
      ["gives the report; nothing it does processes information", "it is another house"],
      Basalt::Process::SystemBoundary.new(set).verdicts.map(&:why)
    )
  end

  def test_numbers_follow_the_places_and_a_balanced_tree_stays_balanced_under_every_move
    60.times do |seed|
      levels = GeneratedLevels.new(seed)
      assert_balanced levels.draft, "#{seed} at first"
      6.times do
        # Into what is a level already: one that had flows of its own would have to part them first.
        moved, to =
          levels.processes.drop(1).sample(random: levels.random),
          (levels.processes - levels.leaves).sample(random: levels.random)
        before = flows(levels.draft)
        if L.within?(levels.draft, to.id, moved.id)
          error =
            assert_raises(Basalt::Mistake) do
              Basalt::Change::Draft.new(levels.draft).apply(Basalt::Process::MoveProcess.new(id: moved.id, container_id: to.id))
            end
          assert_match(/is itself in|cannot be in/, error.message) unless moved.id == to.id
          next
        end
        levels.draft.apply(Basalt::Process::MoveProcess.new(id: moved.id, container_id: to.id))
        assert_balanced levels.draft, "#{seed}: #{moved.name} into #{to.name}"
        assert_numbered levels.draft
        assert_equal before, flows(levels.draft), "what flows between the lowest stays"
      end
    end
  end

  # What flows from lowest to lowest, whatever levels it passes.
  def flows(set) = Basalt::Process::FlowPropagation.new(set).base.sort

  def assert_balanced(set, message)
    lacks =
      set
        .of_kind("process")
        .reject { |one| one.container_id.nil? && L.children(set, one.id).empty? }
        .flat_map { |one| Basalt::Process::Balance.new(set, one).lacks.map { |lack| [one.name, lack.where, lack.name] } }
    assert_empty lacks, message
  end

  def assert_numbered(set)
    numbers = set.of_kind("process").to_h { |one| [one.id, L.number(set, one)] }
    assert_equal numbers.values.compact.uniq, numbers.values.compact
    set
      .of_kind("process")
      .select(&:container_id)
      .each do |one|
        above = numbers[one.container_id]&.delete_suffix(".0")
        place = L.children(set, one.container_id).index { |other| other.id == one.id } + 1
        assert_equal above ? "#{above}.#{place}" : "#{place}.0", numbers[one.id]
      end
  end

  LEVELS =
    "project T\nprocess P\nsheet C: context, about P\nprocess P\noutsider O\nO gives form to P\nP gives answer to O\nsheet D: data flow, " \
    "about P\nprocess Take form\nprocess Give answer\n" \
    "Take form gives note to Give answer\n"

  def test_a_level_that_lacks_flows_is_mended_and_parts_stand_for_the_whole
    set = model(LEVELS)
    found = findings(set).select { |one| one.id == "unbalanced" }
    assert_equal(["“form” from O is not on the level beneath. “answer” to O is not on the level beneath."], found.map(&:why))
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(found.first.repair.changes)
    refute_includes Checks::Runner.new(draft).findings.map(&:id), "unbalanced"

    parts = "#{LEVELS}O gives name to Take form\nO gives place to Take form\nGive answer gives answer to O\nform consists of name, place"
    refute_includes ids_of(model(parts)), "unbalanced"
    lacking = findings(model(parts.sub("O gives place to Take form\n", ""))).find { |one| one.id == "unbalanced" }
    assert_equal "“place” from O is not on the level beneath.", lacking.why
    more = findings(model("#{parts}\nO gives cheque to Take form")).find { |one| one.id == "unbalanced" }
    assert_equal "“cheque” from O is on the level beneath, and P does not carry it.", more.why
  end

  # Each with what it finds, and the same without the mistake.
  CASES = {
    "flow-named-with-verb" => ["O gives sends a form to P", "O gives form to P"],
    "process-not-a-verb-phrase" => [
      "sheet D: data flow, about P\nprocess Form desk\nO gives form to Form desk\nForm desk gives answer to O",
      "sheet D: data flow, about P\nprocess Take form\nO gives form to Take form\nTake form gives answer to O"
    ],
    "store-on-context" => ["store Book\nP gives job to Book\nBook gives job to P", "O gives job to P"],
    "more-than-one-process-on-context" => ["process Q, apart\nO gives form to Q\nQ gives answer to O", "O gives more to P"],
    "inside-drawn-as-outside" => [
      "sheet T: activities, about P\nO gets the form, processing",
      "sheet T: activities, about P\nO gets the form"
    ],
    "outside-drawn-as-inside" => [
      "sheet T: activities, about P\nO gets the form\nsheet D: data flow, about P\nprocess Take form, done by O",
      "sheet T: activities, about P\nO gets the form, processing\nsheet D: data flow, about P\nprocess Take form, done by O"
    ],
    "only-in" => [
      "sheet D: data flow, about P\nprocess Take form\nO gives form to Take form",
      "sheet D: data flow, about P\nprocess Take form\nO gives form to Take form\nTake form gives answer to O"
    ],
    "only-out" => [
      "sheet D: data flow, about P\nprocess Take form\nTake form gives answer to O",
      "sheet D: data flow, about P\nprocess Take form\nO gives form to Take form\nTake form gives answer to O"
    ],
    "store-never-read" => [
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nTake form gives job to Book",
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nTake form gives job to Book\nBook gives job to Take form"
    ],
    "store-never-written" => [
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nBook gives job to Take form",
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nTake form gives job to Book\nBook gives job to Take form"
    ],
    "outsider-to-outsider" => ["outsider R\nO gives letter to R", "outsider R\nR gives letter to P"],
    "outsider-to-store" => [
      "sheet D: data flow, about P\nstore Book\nO gives job to Book\nBook gives job to O",
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nTake form gives job to Book\nBook gives job to Take form"
    ],
    "store-to-store" => [
      "sheet D: data flow, about P\nstore Book\nstore File\nBook gives job to File",
      "sheet D: data flow, about P\nstore Book\nprocess Take form\nTake form gives job to Book"
    ],
    "unnamed-flow" => ["P gives something to O", "P gives answer to O"],
    "activity-on-no-sheet" => [
      "sheet T: activities, about P\nrole Clerk\nO rings, giving complaint to Clerk\nClerk notes it, processing",
      "sheet T: activities, about P\nrole Clerk\nO rings, giving form to Clerk\nClerk notes it, processing"
    ],
    "not-connected" => ["outsider R", "outsider R\nR gives letter to P"],
    "store-too-high" => [
      "sheet D: data flow, about P\nprocess Take form\nstore Book\nTake form gives job to Book\nBook gives job to Take form\n" \
      "sheet E: data flow, about Take form\nprocess Read form",
      "sheet D: data flow, about P\nprocess Take form\nprocess Find form\nstore Book\nTake form gives job to Book\nBook gives job to " \
      "Find form\n" \
      "sheet E: data flow, about Take form\nprocess Read form"
    ],
    "purpose-missing" => ["", "process P, purpose \"to be of use\""]
  }.freeze

  BASE = "project T\nprocess P\nsheet C: context, about P\nprocess P\noutsider O\nO gives form to P\nP gives answer to O\n"

  def test_each_finding_has_a_case_a_near_miss_and_a_repair_that_clears_it
    CASES.each do |rule, (wrong, right)|
      set = model(BASE + wrong)
      found = findings(set).find { |one| one.id == rule }
      assert found, "#{rule} finds nothing"
      refute_includes ids_of(model(BASE + right)), rule, "#{rule} finds something in a near miss"
      next unless found.repair

      mended = Change::Draft.new(set, ids: -> { SecureRandom.uuid }).apply(found.repair.changes)
      refute_includes Checks::Runner.new(mended).findings.map(&:id), rule, "#{rule} is not cleared"
    end
  end

  def test_neighbours_of_a_system_may_be_joined_among_themselves_and_the_interface_list_tells_all
    set =
      model(
        "project T\nsystem Map\nsheet C: context, about Map\nsystem Map, owned by maps\noutsider Resident\nsystem Sign-in\nResident " \
        "gives street to Map, over HTTPS\n" \
        "Map gives state to Resident\nResident gives password to Sign-in, owned by security\nSign-in gives identity to Map, state planned"
      )
    refute_includes ids_of(set), "outsider-to-outsider"
    rows = Basalt::Process::Interfaces.new(set, set.sheet_list.first.id).rows
    assert_equal(
      [
        ["Resident", "Map", "street", "in", "HTTPS", "maps", nil],
        ["Sign-in", "Map", "identity", "in", nil, "maps", "planned"],
        ["Map", "Resident", "state", "out", nil, "maps", nil],
        ["Resident", "Sign-in", "password", "beside", nil, "security", nil]
      ],
      rows
    )
  end

  TABLE =
    "project T\nprocess P, purpose x\nsheet A: activities, about P\noutsider O\nrole Clerk\nrole Boss\nO asks, giving \"the form\" to " \
    "Clerk\n" \
    "Clerk checks it, processing, giving form to Boss, within Check\nBoss decides, processing, giving decision to Clerk, within Decide\n" \
    "Clerk answers, giving answer to O, within Tell\nsheet L: data flow, about P\nprocess Check in P\nprocess Decide in P\nprocess Tell " \
    "in P\n"

  def test_the_context_and_the_level_are_drawn_from_the_table_and_kept_in_step
    set = model(TABLE)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    sheet = set.sheet_list.first.id
    Basalt::Process::ContextDerivation.new(draft, sheet).into(draft)
    told =
      draft.of_kind("flow").map { |flow| [draft.element(flow.target("from")).name, flow.name, draft.element(flow.target("to")).name] }
    assert_equal [
      %w[O form P],
      %w[P answer O],
      %w[O form Check],
      %w[Check form Decide],
      %w[Decide decision Tell],
      %w[Tell answer O]
    ].sort,
                 told.sort
    assert_empty Basalt::Process::ContextDerivation.new(draft, sheet).steps
    assert_empty Checks::Runner.new(draft).findings.select { |one| one.severity != :hint }.map(&:id) - %w[process-not-a-verb-phrase]
    draft.apply(Change::Remove.new(id: draft.of_kind("activity").last.id))
    assert_equal([:drop], Basalt::Process::ContextDerivation.new(draft, sheet).steps.map(&:act))
  end

  def test_the_table_as_csv_both_ways_and_tables_that_lack_something
    set = model(TABLE)
    rows = Basalt::Process::ContextDerivation.new(set, set.sheet_list.first.id).rows
    csv = Basalt::Process::ActivityTable.csv(set, rows)
    other = model("project T\nprocess P\nsheet A: activities, about P")
    draft = Change::Draft.new(other, ids: -> { SecureRandom.uuid })
    sheet = other.sheet_list.first.id
    assert_equal 4, Basalt::Process::ActivityTable.into(draft, Formats::CSV.new(csv), sheet)
    again = Basalt::Process::ActivityTable.csv(draft, Basalt::Process::ContextDerivation.new(draft, sheet).rows)
    assert_equal csv, again
    {
      "who,gives\na,b" => /no column “does”/,
      "who,does\n,rings" => /line 2: nobody is named/,
      "who,does\nClerk," => /line 2: it does not say what/,
      "who,does,processing\nClerk,rings,perhaps" => /line 2: processes information is yes or no/
    }.each do |text, message|
      assert_match message,
                   assert_raises(Mistake) {
                     Basalt::Process::ActivityTable.into(Change::Draft.new(other), Formats::CSV.new(text), sheet)
                   }.message
    end
  end

  def test_who_does_a_process_is_drawn_on_physical_levels_alone_and_activities_stand_in_their_table
    text =
      "project T\nprocess P\nsheet D: data flow, about P%s\nprocess Take form, done by the front desk\nstore Book\nTake form gives job " \
      "to Book"
    drawn = ->(level) do
      model(format(text, level), tidy: true).then { |set| Drawing::SVG.layers(Drawing::Scene.new(set, set.sheet_list.first.id).items) }
    end
    refute_match "the front desk", drawn.call("")
    assert_match(/the front.*desk/, drawn.call(", level Physical"))
    ["", ", drawn with boxes"].each { |variant| assert_match(/1\.0/, drawn.call(variant)) }
    set = model("project T\nsheet D: data flow\noutsider Caller\nprocess P")
    assert_match(
      /is an activity, and stands on a sheet of activities/,
      assert_raises(Statements::Misread) { say(set, "D", "Caller give the form to P") }.message
    )
  end

  def test_rows_have_places
    set = model(TABLE)
    draft = Change::Draft.new(set)
    ids = Basalt::Process::Acts.sorted(set.of_kind("activity")).map(&:id)
    draft.apply(Change::Reorder.new(ids:, id: ids.last, place: 1))
    assert_equal([ids.last, *ids.first(3)], Basalt::Process::Acts.sorted(draft.of_kind("activity")).map(&:id))
    assert_equal facts(draft), facts(model(reading(draft)))
  end

  def test_what_would_consist_of_itself_and_what_would_contain_itself_is_refused
    assert_match(/consist of itself/, assert_raises(Statements::Misread) { model("a consists of b\nb consists of a") }.message)
    assert_match(/is itself in/, assert_raises(Statements::Misread) { model("process P\nprocess Q in P\nprocess P in Q") }.message)
  end

  def test_processes_and_entities_meet_by_name
    set =
      model(
        "project T\nsheet E: entities\nentity Work Order, also called job\nentity Reading\nsheet D: data flow\nprocess Enter " \
        "job\nprocess Sum up\nstore Job book, holds \"Work Order\"\n" \
        "Enter job gives new job to Job book\nJob book gives jobs to Sum up\nSum up gives closed job to Job book\nSum up gives readings " \
        "to Job book"
      )
    uses = Basalt::Usage::Matrix.new(set)
    assert_equal(
      [["Work Order", %w[C RU]], ["Reading", ["", "C"]]],
      uses.entities.map { |entity| [entity.name, uses.processes.map { |process| uses.cell(process, entity) }] }
    )
    assert_equal ["Reading"], uses.never("R").map(&:name)
  end

  # Drawn in both ways, nothing lies on anything else.
  def test_generated_levels_are_drawn_without_overlap
    8.times do |seed|
      levels = GeneratedLevels.new(seed)
      top = levels.processes.first
      sheet = Basalt::Process::LevelSheet.level(levels.draft, top)
      ["boxes", nil].each do |variant|
        levels.draft.apply(Change::SetVariant.new(sheet_id: sheet, variant:))
        Drawing::Arranger.new(levels.draft, sheet).tidy
        boxes =
          levels
            .draft
            .placements_on(sheet)
            .filter_map { |placed| placed.box if placed.w && !levels.draft.element(placed.element_id).relation? }
        assert_empty(boxes.combination(2).select { |one, other| one.overlap?(other) })
      end
    end
  end
end
