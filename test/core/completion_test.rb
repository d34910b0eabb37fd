# frozen_string_literal: true

require_relative "../support/core_helper"

# What is offered while somebody types, in a project of many names.
class CompletionTest < Minitest::Test
  include CoreHelper

  COUNT = 5000
  WORDS = %w[pump valve main gate relay meter press store north south].freeze

  def set
    @@set ||=
      begin
        random = Random.new(7)
        names = Array.new(COUNT) { |n| "#{WORDS.sample(random:)}-#{WORDS.sample(random:)}-#{n}" }
        model((["project P", "sheet S: logical network"] + names.map { |name| "server #{name}" }).join("\n"))
      end
  end

  def offered(head, partial = "")
    Statements::Completion.new(head, Statements::Context.new(set, sheet_id: set.sheet_list.first.id), partial:).words.map(&:first)
  end

  # However many there are, few are offered, all of them begin as what was typed, and none that does is missed where there are few.
  def test_names_begin_as_typed_and_none_is_missed
    names = set.of_kind("device").map(&:name)
    random = Random.new(3)
    60.times do
      name = names.sample(random:)
      partial = name[0, random.rand(1..name.length)]
      found = offered("rename ", partial) & names
      assert_operator found.length, :<=, Statements::Completion::NAMES
      assert(found.all? { |one| one.start_with?(partial) }, partial)
      wanted = names.select { |one| one.start_with?(partial) }
      assert_equal wanted.sort, found.sort, partial if wanted.length <= 50
    end
  end

  # What is looked at does not grow with the project.
  def test_no_more_is_looked_at_than_is_needed
    looked = 0
    counting = Class.new(SimpleDelegator) { define_method(:element) { |id| (looked += 1) && __getobj__.element(id) } }
    context = Statements::Context.new(counting.new(set), sheet_id: nil)
    assert_includes Statements::Completion.new("rename ", context, partial: "pump-gate").words.map(&:first).join(" "), "pump-gate"
    assert_operator looked, :<, Statements::Completion::LOOKED_AT
  end
end
