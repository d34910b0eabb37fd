# frozen_string_literal: true

require_relative "../support/core_helper"

# Findings that are kept in step, looking only at what acts touched, are those that looking at everything gives.
class ScopesTest < Minitest::Test
  include CoreHelper

  ACTS = 40

  def sample = model(File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__)), tidy: true)

  def test_findings_in_step_are_findings_afresh
    [
      sample,
      *Array.new(4) { |seed| model(GeneratedNetwork.new(seed, subnets: 3, things: 8).text, tidy: true) }
    ].each_with_index do |set, seed|
      random = Random.new(ENV.fetch("SEED", seed).to_i)
      known = Checks::Runner.new(set).by_check
      ACTS.times do |step|
        effect = act(set, random) or next
        kinds = placed_kinds(set, effect)
        set.advance(effect)
        known = Checks::Runner.new(set, known:).by_check(Checks::Touched.by(effect, kinds:))
        assert_same_findings told(Checks::Runner.new(set).by_check), told(known), "set #{seed}, step #{step}"
      end
    end
  end

  def assert_same_findings(expected, found, message) = expected.each { |id, list| assert_equal list, found[id], "#{id}: #{message}" }

  def told(by_check) =
    by_check.to_h do |check, found|
      [check.id, found.list.map { |one| [one.subjects, one.message, one.severity, one.repair.nil?] }.sort_by(&:inspect)]
    end

  def placed_kinds(set, effect)
    draft = Change::Draft.new(set).take(effect.deltas)
    placed =
      effect
        .on(:placements)
        .select { |delta| delta.before.nil? || delta.after.nil? }
        .filter_map { |delta| draft.element((delta.after || delta.before).element_id)&.kind }
    placed | (effect.on(:sheets).any? ? ["sheet"] : [])
  end

  # One act by chance, on any element that there is.
  def act(set, random)
    draft = Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    draft.apply(send(%i[remove rename alter rejoin copy take_off contain].sample(random:), set, random))
    draft.effect
  rescue Basalt::Mistake
    nil
  end

  def any(set, random, &) = set.elements.each.select(&).sort_by(&:ordinal).sample(random:) || raise(Basalt::Mistake, "none")
  def remove(set, random) = Change::Remove.new(id: any(set, random) { true }.id)

  def rename(set, random)
    named = any(set, random, &:name)
    Change::Set.new(
      id: named.id,
      fact: "name",
      value: [any(set, random) { |one| one.name && one.kind == named.kind }.name, "things", "code 2"].sample(random:)
    )
  end

  def alter(set, random)
    element = any(set, random) { true }
    field = element.description.fields.values.reject(&:internal).sample(random:)
    like = set.of_kind(element.kind).filter_map { |other| other[field.name] }.sample(random:)
    Change::Set.new(id: element.id, fact: field.name, value: [nil, like, field.choices&.sample(random:)].sample(random:))
  end

  def rejoin(set, random)
    line = any(set, random, &:relation?)
    joined = line.ends.sample(random:)
    Change::Rejoin.new(
      id: line.id,
      role: joined.role,
      target_id: any(set, random) { |other| other.kind == set.element(joined.target_id).kind }.id
    )
  end

  def copy(set, random)
    pattern = any(set, random) { |one| one.relation? || one.owner_id }
    Change::Add.new(
      kind: pattern.kind,
      name: pattern.name && "#{pattern.name} 2",
      owner_id: pattern.owner_id,
      facts: pattern.facts,
      ends: pattern.ends.map { |one| [one.role, one.target_id, one.facts] }
    )
  end

  def take_off(set, random)
    sheet = set.sheet_list.sample(random:)
    Change::TakeOff.new(sheet_id: sheet.id, element_id: (set.things_on(sheet.id).sample(random:) || raise(Basalt::Mistake, "none")).id)
  end

  def contain(set, random)
    inner = any(set, random) { |one| one.description.containers.any? }
    Change::Set.new(
      id: inner.id,
      fact: "container",
      value: any(set, random) { |other| inner.description.containers.include?(other.kind) }.id
    )
  end
end
