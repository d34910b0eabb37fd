# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # The steps by which derived tables come to be what they should be: for what has the table +@wanted+, and the one that
      # stands, +@known+.
      module MergeSteps
        private

        def step(act, key, words, why: nil, &change) =
          Change::Step.new(act:, key: "#{act} #{@wanted.thread} #{key}", words:, change:, why:)

        # What was just put, with how it was derived.
        def put(draft, change)
          element = change.apply(draft)
          draft.apply(Change::Set.new(id: element.id, fact: "as_derived", value: Refinement.plain(draft, element)))
          draft.element(element.id)
        end

        def set(draft, id, fact, value) = Change::Set.new(id:, fact:, value:).apply(draft)

        # What has no thread is a person's own, and stays.
        def dropped(known, wanted, noun)
          threads = wanted.map(&:thread)
          known
            .reject { |one| one["thread"].nil? || threads.include?(one["thread"]) }
            .map do |one|
              step(:drop, one["thread"], "#{noun} #{[@known.name, one.name].compact.join(".")}") do |draft|
                Change::Remove.new(id: one.id).apply(draft) if draft.element(one.id)
              end
            end
        end
      end
    end
  end
end
