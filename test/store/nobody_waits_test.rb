# frozen_string_literal: true

require_relative "../support/app_helper"
require "timeout"

# While somebody's act takes long, others look at what stood before it, and see all of it at one version.
class NobodyWaitsTest < Minitest::Test
  include AppHelper

  def setup
    super
    @project = project(GeneratedNetwork.new(3, subnets: 2, things: 6).text)
    @session = Store::ProjectSession.for(@project.id)
    @sheet = @session.open { |view| view.set.sheet_list.first.id }
  end

  # An act that goes on until it is let go.
  def long_act(begun, go_on)
    Thread.new do
      @session.open do |view|
        view.act(said: "long", by: "a", sheet_id: @sheet) do |draft|
          Basalt::Statements::Document.new("server made-by-the-long-act").into(draft, sheet_id: @sheet)
          begun << true
          go_on.pop
        end
      end
    ensure
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end
  end

  def looked_at
    @session.open do |view|
      [
        view.set.version,
        view.set.named("made-by-the-long-act").length,
        view.scene(@sheet).items.length,
        view.findings.length,
        view.contents(@sheet).size,
        view.drawn_at(@sheet),
        Basalt::Statements::Unparser.new(view.set).reading(@sheet).flatten.length
      ]
    end
  end

  def test_pages_are_drawn_while_an_act_goes_on
    before = looked_at
    begun, go_on = Queue.new, Queue.new
    act = long_act(begun, go_on)
    begun.pop
    Timeout.timeout(20) { assert_equal before, looked_at }
    @session.open do |view|
      go_on << true
      act.join
      assert_equal [before[0], before[1]],
                   [view.set.version, view.set.named("made-by-the-long-act").length],
                   "what is looked at became another"
      assert_equal before[6], Basalt::Statements::Unparser.new(view.set).reading(@sheet).flatten.length
    end
    after = looked_at
    assert_equal [before[0] + 1, 1], after.first(2)
  end

  # Readers and a writer at once: whatever is read is whole.
  def test_what_is_read_is_of_one_version
    done = false
    failures = Queue.new
    readers =
      Array.new(3) do
        Thread.new do
          until done
            @session.open do |view|
              rows = view.set.elements.each.to_a
              ids = rows.to_set(&:id)
              dangling = rows.flat_map(&:targets).reject { |id| ids.include?(id) }
              unplaced = view.set.placements.each.reject { |one| ids.include?(one.element_id) }
              failures << [dangling, unplaced].inspect if dangling.any? || unplaced.any?
              unless rows.group_by(&:kind).all? { |kind, list| view.set.of_kind(kind).length == list.length }
                failures << "the index differs"
              end
            end
          end
        ensure
          ActiveRecord::Base.connection_handler.clear_active_connections!
        end
      end
    30.times do |n|
      @session.open do |view|
        view.act(said: "in", by: "a", sheet_id: @sheet) do |draft|
          Basalt::Statements::Document.new("server w-#{n}\nw-#{n} on #{draft.of_kind("subnet").first.name}").into(draft, sheet_id: @sheet)
        end
      end
      @session.open { |view| view.undo(by: "a", sheet_id: @sheet) } if n.odd?
    end
    done = true
    readers.each(&:join)
    assert_empty Array.new(failures.length) { failures.pop }.first(3)
  end
end
