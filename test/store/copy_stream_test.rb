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
    assert_raises(ActiveRecord::ConnectionFailed) do
      ActiveRecord::Base.transaction do
        Store::CopyStream.into(:journal, %i[project_id number act state said said_by deltas]) do |stream|
          stream << [project.id, 1, "act", "done", "first", "test", []]
          cut_off(ActiveRecord::Base.connection.raw_connection)
          stream << [project.id, 2, "act", "done", "second", "test", []]
        end
      end
    end
    release
    assert_equal 0, Store::JournalEntry.where(project_id: project.id).count
    Store::Repository.new(project.id, said_by: "test").commit(made(project, [{ name: "later", facts: {} }]), said: "later")
    assert_equal %w[later], model_of(project).elements.each.map(&:name)
  ensure
    release
  end

  def test_a_row_that_lacks_something_is_told_as_by_every_other_statement
    assert_raises(ActiveRecord::StatementInvalid) { Store::CopyStream.into(:sheets, %i[id]) { |stream| stream << [SecureRandom.uuid] } }
    assert_equal 1, ActiveRecord::Base.connection.select_value("SELECT 1")
  end

  private

  # As after every request: a connection that is lost is not used for another.
  def release = ActiveRecord::Base.connection_handler.clear_active_connections!

  # The server ends the connection, and has ended it when this returns.
  def cut_off(raw)
    other = PG.connect(ENV.fetch("DATABASE_URL"))
    assert_equal "t", other.exec_params("SELECT pg_terminate_backend($1, 10000)", [raw.backend_pid]).getvalue(0, 0)
  ensure
    other&.close
  end

  # @return [Basalt::Change::Effect] of new devices, over nothing
  def made(project, elements)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new(version: project.version))
    elements.each { |one| draft.put(:elements, Basalt::Model::Element.new(id: draft.new_id, kind: "device", **one)) }
    draft.effect
  end
end
