# frozen_string_literal: true

require_relative "../support/app_helper"

# Rows come in as a stream: what they say is what is read back, whatever letters are in it, and what cannot stand is told.
class CopyingTest < Minitest::Test
  include AppHelper

  ODD = ["\\N", "\\", "a\\tb", "one\ttwo", "line\nnext", "\"so\"", "{}", "{1,2}", "ΔΩ – “…”", "'; DROP TABLE x; --", "NULL"].freeze

  def test_what_is_written_is_read_back
    project = project()
    effect = made(project, ODD.map { |text| { name: text, facts: { "note" => text, text => 1.5e-7 } } })
    Store::Repository.new(project.id, said_by: "test").commit(effect, said: "odd")
    assert_equal effect.deltas.map(&:after).sort_by(&:id), model_of(project).elements.each.sort_by(&:id)
  end

  def test_what_is_there_already_is_refused_and_nothing_of_it_kept
    project = project()
    Store::Repository.new(project.id, said_by: "test").commit(made(project, [{ name: "one", facts: {} }]), said: "first")
    standing = rows(model_of(project))
    again = standing[:elements].map { |row| row[:id] }
    twice = made(project, [{ name: "other", facts: {} }, { name: "same", facts: {}, id: again.first }])
    assert_raises(Basalt::Change::Conflict) { Store::Repository.new(project.id, said_by: "test").commit(twice, said: "twice") }
    assert_equal standing, rows(model_of(project))
  end

  private

  # @return [Basalt::Change::Effect] of new devices, over nothing
  def made(project, elements)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new(version: project.version))
    elements.each { |one| draft.put(:elements, Basalt::Model::Element.new(id: draft.new_id, kind: "device", **one)) }
    draft.effect
  end
end
