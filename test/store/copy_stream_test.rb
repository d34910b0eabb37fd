# frozen_string_literal: true

require_relative "../support/app_helper"

# Rows come in as a stream: what they say is what is read back, whatever letters are in it, and what cannot stand is told.
class CopyStreamTest < Minitest::Test
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

  def test_a_server_that_goes_away_in_between_is_told_as_that_and_nothing_is_kept
    project = project()
    other = PG.connect(ENV.fetch("DATABASE_URL"))
    assert_raises(ActiveRecord::ConnectionFailed) do
      ActiveRecord::Base.transaction do
        Store::CopyStream.into(:sheets, %i[id project_id]) do |stream|
          stream << [SecureRandom.uuid, project.id]
          other.exec_params("SELECT pg_terminate_backend($1)", [ActiveRecord::Base.connection.raw_connection.backend_pid])
        end
      end
    end
    ActiveRecord::Base.connection_handler.clear_active_connections!
    assert_empty model_of(project).sheets.each.to_a
    Store::Repository.new(project.id, said_by: "test").commit(made(project, [{ name: "later", facts: {} }]), said: "later")
    assert_equal %w[later], model_of(project).elements.each.map(&:name)
  ensure
    other&.close
  end

  private

  # @return [Basalt::Change::Effect] of new devices, over nothing
  def made(project, elements)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new(version: project.version))
    elements.each { |one| draft.put(:elements, Basalt::Model::Element.new(id: draft.new_id, kind: "device", **one)) }
    draft.effect
  end
end
