# frozen_string_literal: true

require_relative "../../support/core_helper"
require_relative "../../support/generated_software"

# Use cases: what happens in them, what is still open, who may do what, and how they are drawn.
class UseCasesTest < Minitest::Test
  include CoreHelper

  UseCases = Basalt::Software::UseCases

  def draft(set) = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
  def named(set, name, kind = "use case") = set.named(name).find { |one| one.kind == kind }
  def uses(*lines) = model(["sheet U: use cases", *lines].join("\n"))

  RULES = {
    "use-case-without-actor" => [
      ["use case Send a crew"],
      ["use case Send a crew", "actor A", "A starts Send a crew"],
      ["use case Send a crew", "use case Call out", "actor A", "A starts Call out", "Call out includes Send a crew"],
      ["use case Send a crew", "use case Call out", "actor A", "A starts Call out", "Send a crew extends Call out when late"]
    ],
    "actor-without-use-case" => [
      ["actor A"],
      ["actor A", "use case Send a crew", "A takes part in Send a crew"],
      ["actor A", "actor B", "use case Send a crew", "A takes part in Send a crew", "B is a kind of A"]
    ],
    "include-cycle" => [
      ["use case Send a crew", "use case Call out", "Send a crew includes Call out", "Call out includes Send a crew"],
      ["use case Send a crew", "use case Call out", "use case Find it", "Send a crew includes Call out", "Send a crew includes Find it"]
    ],
    "generalisation-cycle" => [["A is a kind of B", "B is a kind of A"], ["A is a kind of B", "C is a kind of B"]],
    "extend-without-condition" => [
      ["use case Send a crew", "use case Call out", "Call out extends Send a crew"],
      ["use case Send a crew", "use case Call out", "Call out extends Send a crew when late"]
    ],
    "name-not-a-verb-phrase" => [["use case Leak handling"], ["use case Handle leaks"]],
    "actor-inside-boundary" => [["system S", "actor A in S"], ["system S", "actor A"]],
    "actor-to-actor" => [["actor A", "actor B", "A takes part in B"], ["actor A", "actor B", "A is a kind of B"]],
    "include-used-once" => [
      ["use case Send a crew", "use case Call out", "Send a crew includes Call out"],
      ["use case Send a crew", "use case Call out", "use case Find it", "Send a crew includes Call out", "Find it includes Call out"]
    ],
    "branch-from-nowhere" => [
      ["use case Send a crew", "branch 2a of Send a crew: late"],
      ["use case Send a crew", "step 1 of Send a crew: a", "step 2 of Send a crew: b", "branch 2a of Send a crew going on at 1: late"]
    ]
  }.freeze

  def test_each_finding_is_found_and_its_near_misses_are_not
    RULES.each do |rule, (wrong, *right)|
      found = findings(uses(*wrong)).select { |one| one.id == rule }
      assert_equal 1, found.length, "#{rule}: #{found.map(&:message)}"
      right.each { |lines| refute_includes ids_of(uses(*lines)), rule, "#{rule}: #{lines}" }
      next unless found.first.repair

      mended = draft(uses(*wrong)).apply(found.first.repair.changes)
      refute_includes Checks::Runner.new(mended).findings.map(&:key), found.first.key, rule
    end
  end

  # @return [Array<String>] lines of a description with numbers, as its text has them
  def described(random)
    steps = (1..random.rand(1..6)).map { |number| ["#{number} #{%w[Operator: Desk:].sample(random:)} does #{number}"] }
    random.rand(0..3).times do
      at = random.rand(steps.length)
      letter = ("a".."z").first(steps[at].grep(/when/).length + 1).last
      back = random.rand(2).zero? ? "" : " -> #{random.rand(1..steps.length)}"
      steps[at] += ["#{at + 1}#{letter} when case #{letter}#{back}", "#{at + 1}#{letter}1 Operator: mends it"]
    end
    steps.flatten
  end

  def test_a_description_is_the_same_as_its_text
    40.times do |seed|
      random = Random.new(seed)
      set = uses("use case Send a crew")
      id = named(set, "Send a crew").id
      lines = described(random)
      one = UseCases::DescriptionText.new(lines.join("\n")).into(draft(set), id)
      assert_equal lines, UseCases::DescriptionText.of(one, id).split("\n"), "seed #{seed}"
      again = Change::Draft.new(one)
      UseCases::DescriptionText.new(lines.join("\n")).into(again, id)
      assert_empty again.effect.deltas, "seed #{seed}: said once more it alters nothing"
      told = model(reading(one))
      assert_equal lines, UseCases::DescriptionText.of(told, named(told, "Send a crew").id).split("\n"), "seed #{seed}, in words"
    end
  end

  # A line that moves is a step that moves: its branches stay with it, whatever number it has then.
  def test_branches_stay_with_their_steps_when_lines_move
    set = uses("use case Send a crew")
    id = named(set, "Send a crew").id
    one = UseCases::DescriptionText.new("A: x\nB: y\nC: z\n2a when odd -> 3\n2a1 D: w").into(draft(set), id)
    assert_equal "1 A: x\n2 B: y\n2a when odd -> 3\n2a1 D: w\n3 C: z", UseCases::DescriptionText.of(one, id)
    UseCases::DescriptionText.new("3 C: z\n2 B: y\n2a when odd -> 3\n2a1 D: w\nE: new\n1 A: x").into(one, id)
    assert_equal "1 C: z\n2 B: y\n2a when odd -> 1\n2a1 D: w\n3 E: new\n4 A: x", UseCases::DescriptionText.of(one, id)
    gone = UseCases::DescriptionText.new("1 C: z\n2a when odd").into(Change::Draft.new(one), id)
    assert_equal "1 C: z\n0a when odd", UseCases::DescriptionText.of(gone, id), "a branch without its step leaves nothing"
    refused = assert_raises(Basalt::Mistake) { UseCases::DescriptionText.new("A: x\n7b1 B: y").into(Change::Draft.new(one), id) }
    assert_includes refused.message, "7b"
  end

  def test_whichever_way_a_step_goes_its_branches_follow
    told = %w[a b c].each_with_index.map { |one, n| "step #{n + 1} of Send a crew: #{one}" }
    set = uses("use case Send a crew", *told, "branch 3a of Send a crew: odd")
    id = named(set, "Send a crew").id
    steps = UseCases::Description.new(set, id).steps
    one = draft(set).apply(Change::Remove.new(id: steps.first.id))
    Families.settle(one)
    assert_equal "1 b\n2 c\n2a when odd", UseCases::DescriptionText.of(one, id)
    two = draft(set).apply(Change::Remove.new(id: steps.last.id))
    Families.settle(two)
    assert_equal UseCases::Kinds::NOWHERE, UseCases::Description.new(two, id).branches.first["from"]
  end

  KNOWN = "sheet C: context\nsystem Desk\nCaller gives report to Desk\nrole Clerk\nsheet E: entities\nentity Crew\n" \
          "sheet U: use cases, about Desk\nsystem Desk".freeze

  def questions(set) = UseCases::OpenQuestions.new(set, named(set, "Desk", "system"))

  def test_what_the_project_knows_raises_questions_and_answers_close_them
    set = model(KNOWN)
    sheet = set.sheet_list.last
    asked = questions(set).open.map(&:words)
    wanted = ["What does Caller want of Desk?", "What does Clerk want of Desk?", "Who creates Crew?", "Who shuts down Desk?"]
    assert_empty wanted - asked
    one = draft(set)
    answering = ->(words, text) do
      question = questions(one).open.find { |open| open.words == words }
      about = { verb: question.verb, source_id: question.source_id }
      UseCases::Answer.new(sheet_id: sheet.id, system_id: named(one, "Desk", "system").id, text:, **about).apply(one)
    end
    answering.call("What does Caller want of Desk?", "Report a leak")
    actor = named(one, "Caller", "actor")
    assert one.relations_of(actor.id, "involvement").first["starts"], "whoever wants it starts it"
    assert one.shown?(sheet.id, actor.id) && one.shown?(sheet.id, named(one, "Report a leak").id)
    answering.call("Who creates Crew?", "Duty Manager: Enter crew")
    answering.call("Who looks after Desk?", "Duty Manager")
    manager = named(one, "Duty Manager", "actor").id
    assert_equal [1, 1], [UseCases::Threads.of(one, manager).length, one.relations_of(manager, "involvement").length]
    desk, crew = named(one, "Desk", "system"), named(one, "Crew", "entity")
    one.apply(UseCases::Threads.closing(one, desk.id, "deletes", crew.id, "they are kept"))
    assert_equal 4, asked.length - questions(one).open.length
    told = model(reading(one))
    assert_equal questions(one).open.map(&:words).sort, questions(told).open.map(&:words).sort, "answers are told in words"
    assert_raises(Basalt::Mistake) { answering.call("Who updates Crew?".sub("updates", "alters"), " ") }
  end

  # What an actor may do, against a walk over every way from it.
  def test_who_may_do_what_follows_from_what_they_take_part_in
    set = model("sheet E: entities\nentity Crew\nentity Job\nsheet U: use cases\nactor A\nactor B\nuse case Enter it\n" \
                "use case Find it\nuse case End it\nA starts Enter it\nEnter it includes Find it\nB is a kind of A\n" \
                "B starts End it\nEnter it creates Crew\nFind it reads Crew\nEnd it deletes Job")
    access = UseCases::Access.new(set, set.sheet_list.last.id)
    crew, job = %w[Crew Job].map { |name| named(set, name, "entity").id }
    may = %w[A B].map { |name| [crew, job].map { |kept| access.may(named(set, name, "actor").id, kept) } }
    assert_equal [["CR", ""], ["CR", "D"]], may
    one = draft(set)
    one.apply(UseCases::Access.new(one, set.sheet_list.last.id).putting(named(one, "Find it").id, job, "ur"))
    assert_equal "RU", UseCases::Access.new(one, set.sheet_list.last.id).cell(named(one, "Find it").id, job)
    one.apply(UseCases::Access.new(one, set.sheet_list.last.id).putting(named(one, "Find it").id, job, "U"))
    assert_equal "U", UseCases::Access.new(one, set.sheet_list.last.id).cell(named(one, "Find it").id, job)
    assert_raises(Basalt::Mistake) { access.putting(named(set, "Find it").id, job, "X") }
  end

  def test_the_matrix_of_who_takes_part_is_turned_cell_by_cell
    set = uses("actor A", "use case Enter it")
    sheet_id = set.sheet_list.first.id
    one = draft(set)
    ["takes part", "starts", ""].each do |state|
      matrix = UseCases::TakingPart.new(one, sheet_id)
      one.apply(matrix.putting(named(one, "A", "actor").id, named(one, "Enter it").id, state))
      assert_equal state, UseCases::TakingPart.new(one, sheet_id).cell(named(one, "A", "actor").id, named(one, "Enter it").id)
    end
    assert_empty one.effect.deltas, "three turns lead back"
  end

  def test_actors_stand_beside_the_boundary_who_starts_something_on_the_left
    set = model("sheet U: use cases\nsystem S\nuse case Enter it in S\nuse case Find it in S\nactor A\nactor B\nA starts Enter it\n" \
                "B takes part in Enter it\nEnter it includes Find it", tidy: true)
    sheet = set.sheet_list.first
    box = ->(name, kind) { set.placement(sheet.id, named(set, name, kind).id).box }
    around = box.call("S", "system")
    assert_operator box.call("A", "actor").right, :<, around.x
    assert_operator box.call("B", "actor").x, :>, around.right
    ["Enter it", "Find it"].each do |name|
      inner = box.call(name, "use case")
      assert inner.x > around.x && inner.right < around.right && inner.y > around.y && inner.bottom < around.bottom, name
    end
    assert_operator box.call("Find it", "use case").x, :>, box.call("Enter it", "use case").right, "what is included stands behind"
  end

  def test_a_name_may_end_in_a_word_of_the_language
    set = uses("system Desk", "use case Sign in in Desk", "use case Log in, priority must", "use case Call in")
    assert_equal ["Call in", "Log in", "Sign in"], set.of_kind("use case").map(&:name).sort
    assert_equal named(set, "Desk", "system").id, named(set, "Sign in").container_id
  end
end
