# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Views as they should be, brought together with those that stand.
      class ViewMerge
        # @param wanted [Array<View>]
        # @param sheet_id [String, nil] where new ones are shown
        # @yieldparam thread [String] of a view that stands
        # @yieldreturn [Boolean] whether it is looked at
        def initialize(set, wanted, sheet_id, &concerned)
          @set = set
          @wanted = wanted
          @sheet_id = sheet_id
          @known =
            set.of_kind("view").select { |view| view["thread"] && concerned.call(view["thread"]) }.to_h { |view| [view["thread"], view] }
        end

        # @return [Array<Change::Step>]
        def steps = @wanted.filter_map { |view| @known[view.thread] ? altered(view, @known[view.thread]) : added(view) } + gone

        private

        def step(act, view, words, why: nil, &change) = Change::Step.new(act:, key: "#{act} view #{view}", words:, why:, change:)

        def added(view)
          step(:add, view.thread, "view #{view.name}", why: view.why) do |draft|
            id = draft.new_id
            Change::Add.new(
              kind: "view",
              id:,
              name: view.name,
              facts: {
                "query" => view.query,
                "why" => view.why,
                "thread" => view.thread
              }
            ).apply(draft)
            settle(draft, id)
            Change::Show.new(sheet_id: @sheet_id, element_id: id).apply(draft) if @sheet_id
          end
        end

        def altered(view, known)
          return if Refinement.derived(known) == { "name" => view.name, "query" => view.query.gsub("|", "¦") }
          if Refinement.refined?(@set, known)
            return step(:keep, view.thread, "view #{known.name} was refined and stays; it would be #{view.query} now")
          end

          step(:alter, view.thread, "view #{known.name}: #{view.query}") do |draft|
            { "name" => view.name, "query" => view.query, "why" => view.why }.each do |fact, value|
              Change::Set.new(id: known.id, fact:, value:).apply(draft)
            end
            settle(draft, known.id)
          end
        end

        def settle(draft, id) = Change::Set.new(id:, fact: "as_derived", value: Refinement.plain(draft, draft.element(id))).apply(draft)

        def gone
          (@known.keys - @wanted.map(&:thread)).map do |thread|
            view = @known[thread]
            step(:drop, thread, "view #{view.name}: what it came from is no longer there") do |draft|
              Change::Remove.new(id: view.id).apply(draft) if draft.element(view.id)
            end
          end
        end
      end
    end
  end
end
