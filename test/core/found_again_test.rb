# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"
require_relative "../support/generated_entities"
require_relative "../support/generated_interaction"

# After any acts, what was found before and looked at again near what was touched is what looking at everything afresh finds.
class FoundAgainTest < Minitest::Test
  include CoreHelper

  ACTS = 45
  WORDS = ["Tank level", "price", "valve_code", "Assess leak", "site town", "the report", "x y"].freeze
  PORTS = [nil, "1", "eth0", "1/1", "2-1", "up1", "1/up01", "x"].freeze

  def test_findings_of_the_sample_are_the_same_looked_at_again_or_afresh
    text = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))
    6.times { |seed| compare(model(text), Random.new(seed), "sample, seed #{seed}") }
  end

  def test_findings_of_networks_are_the_same_looked_at_again_or_afresh
    6.times { |seed| compare(model(GeneratedNetwork.new(seed, subnets: 3, things: 6).text), Random.new(seed), "network, seed #{seed}") }
  end

  def test_findings_of_wirings_are_the_same_looked_at_again_or_afresh
    6.times { |seed| compare(model(GeneratedCabling.new(seed, switches: 3, servers: 4).text), Random.new(seed), "wiring, seed #{seed}") }
  end

  def test_findings_of_entities_are_the_same_looked_at_again_or_afresh
    6.times { |seed| compare(model(GeneratedEntities.new(seed).text), Random.new(seed), "entities, seed #{seed}") }
  end

  def test_findings_of_interactions_are_the_same_looked_at_again_or_afresh
    4.times { |seed| compare(model(GeneratedInteraction.new(seed).text), Random.new(seed), "interaction, seed #{seed}") }
  end

  # Most rules look at what is near; those that look at everything are these, for the reason that each tells.
  WHOLE = {
    "single names and twins" => %w[same-name requirement-double subnets-overlap attribute-looks-like-entity attribute-on-wrong-side],
    "circles" => %w[owner-cycle cycle-of-required-keys inheritance-cycle include-cycle generalisation-cycle package-cycle component-cycle],
    "what is inherited, from however far" => %w[inherited-twice operation-not-implemented],
    "types, by their names" => %w[enumeration-unused class-unknown],
    "the course of an interaction as a whole" => %w[
      operation-not-in-class arguments-do-not-fit not-visible answer-without-call call-without-answer guard-missing single-branch
      otherwise-missing speaks-after-destroyed speaks-before-created reference-unknown reference-cycle
    ],
    "a context and the components within" => %w[line-lands-nowhere more-than-one-centre],
    "what was derived, by its thread" => %w[
      entity-in-no-table column-in-no-entity unresolved-many-to-many no-unique-for-natural-key nullable-disagrees
    ],
    "the activity table as a whole" => %w[inside-drawn-as-outside outside-drawn-as-inside activity-on-no-sheet],
    "levels and what they carry" => %w[unbalanced store-too-high],
    "sheets" => %w[more-than-one-process-on-context outsider-to-outsider],
    "what is reached, from however far" => %w[
      open-to-the-world rule-too-wide rule-without-effect no-way-out no-way-in connection-not-allowed one-zone-only blocks-overlap
      resource-outside-subnet public-store unattached
    ],
    "links, whose sheets are gone" => %w[dangling-link],
    "the brief as a whole" => %w[outside-the-brief],
    "journeys, which speak of anything by its name" => %w[
      step-without-connection part-in-no-journey connection-in-no-journey store-cannot-answer role-cannot-enter state-never-left
      state-never-reached state-unknown refusal-unhandled requirement-uncovered journey-without-end condition-without-another-way
    ]
  }.freeze

  def test_rules_that_look_at_everything_are_few_and_known
    whole = Basalt::Families.gather(:checks).select { |check| check.scope == :project }.map(&:id)
    assert_equal WHOLE.values.flatten.sort, whole.sort
  end

  private

  def compare(set, random, message)
    known = Checks::Runner.new(set).by_check
    ACTS.times do |step|
      draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
      done = act(draft, random)
      next unless done

      effect = draft.effect
      touched = Checks::Touched.by(effect, kinds: placed(draft, effect))
      set.advance(effect)
      known = Checks::Runner.new(set, known:).by_check(touched)
      fresh = Checks::Runner.new(set).by_check
      known.each { |check, found| assert_equal told(fresh.fetch(check)), told(found), "#{message}, step #{step}: #{done}: #{check.id}" }
    end
  end

  # What comes to a sheet or goes from it counts as touched, as where the store keeps findings.
  def placed(draft, effect)
    placed = effect.on(:placements).select { |delta| delta.before.nil? || delta.after.nil? }
    kinds = placed.filter_map { |delta| draft.element((delta.after || delta.before).element_id)&.kind }
    kinds | (effect.on(:sheets).any? ? ["sheet"] : [])
  end

  def told(found)
    found.list.map { |one| [one.key, one.message, one.why, one.also.sort, one.repair&.label] }.sort_by(&:inspect)
  end

  # @return [String, nil] what was done, where it could be
  def act(draft, random)
    element = draft.elements.each.to_a.sample(random:) or return
    name = %i[remove rename fact take_off show rejoin port duplicate container].sample(random:)
    send(name, draft, element, random)
    draft.effect.empty? ? nil : "#{name} #{element.kind} #{element.name}"
  rescue Basalt::Mistake
    nil
  end

  def remove(draft, element, _) = draft.apply(Change::Remove.new(id: element.id))
  def rename(draft, element, random) = draft.apply(Change::Set.new(id: element.id, fact: "name", value: WORDS.sample(random:)))

  def fact(draft, element, random)
    field = element.description.fields.values.sample(random:)
    value =
      case field.type
      when :flag then [true, nil].sample(random:)
      when :choice then field.choices.sample(random:)
      else [*WORDS, nil, "real", "10.20.4.0/23", "10.20.4.31", "1-4 copper 1G; up1-up2 fibre", "10G", "3", "500",
            "PORT.MEMBER"].sample(random:)
      end
    draft.apply(Change::Set.new(id: element.id, fact: field.name, value:))
  end

  def take_off(draft, element, _)
    sheet = draft.sheets_of(element.id).first or return
    draft.apply(Change::TakeOff.new(sheet_id: sheet, element_id: element.id))
  end

  def show(draft, element, random)
    sheet = draft.sheet_list.sample(random:)
    draft.apply(Change::Show.new(sheet_id: sheet.id, element_id: element.id)) if sheet.notation.draws?(element)
  end

  def rejoin(draft, element, random)
    role = element.ends.map(&:role).sample(random:) or return
    like = draft.element(element.target(role))
    return unless like

    draft.apply(Change::Rejoin.new(id: element.id, role:, target_id: draft.of_kind(like.kind).sample(random:).id))
  end

  def port(draft, element, random)
    return unless element.kind == "link"

    draft.apply(Change::SetEnd.new(id: element.id, role: element.ends.sample(random:).role, facts: { "port" => PORTS.sample(random:) }))
  end

  def duplicate(draft, element, _)
    sheet = draft.sheets_of(element.id).first or return
    draft.apply(Change::Duplicate.new(ids: [element.id], from: sheet, to: sheet, dx: 20, dy: 20))
  end

  def container(draft, element, random)
    kinds = element.description.containers
    draft.apply(Change::Set.new(id: element.id, fact: "container", value: draft.of_kind(*kinds).sample(random:)&.id)) if kinds.any?
  end
end
