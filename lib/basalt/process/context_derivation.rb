# frozen_string_literal: true

module Basalt
  module Process
    # From the activity table to the context, and to the level beneath it where rows are grouped
    # into processes: what would have to be added, and what flows there that the table does not tell.
    class ContextDerivation
      # @param set [Model::WorkingSet, Change::Draft]
      # @param sheet_id [String] of a sheet of activities
      def initialize(set, sheet_id)
        @set = set
        @rows = Acts.sorted(set.relations_on(sheet_id).select { |one| one.kind == "activity" })
        @standing = SystemBoundary.new(set, @rows)
        @process = set.element(set.sheets[sheet_id].subject_id.to_s)
      end

      attr_reader :process, :rows, :standing

      # @return [Array<Array(String, String, String, Model::Element)>] (see TableFlows)
      def crossing = flows.crossing
      def within = flows.within

      # @return [Model::Sheet, nil] the context sheet about the process
      def context = sheet("context")
      # @return [Model::Sheet, nil] the level beneath
      def level = sheet("data flow")

      # @return [Array<Change::Step>]
      def steps = process ? context_steps + level_steps : []

      # @param keys [Array<String>, nil] of the steps to take; nil for all
      # @return [Change::Draft]
      def into(draft, keys: nil)
        taken = steps.reject { |step| step.act == :drop && keys.nil? }.select { |step| keys.nil? || keys.include?(step.key) }
        taken.each { |step| step.apply(draft) }
        draft
      end

      private

      def flows = @flows ||= TableFlows.new(@set, @rows, @standing, @process)
      def sheet(notation) = process && @set.sheets_about(process.id).find { |one| one.notation_name == notation }
      def name(id) = @set.element(id).name

      def context_steps
        wanted = crossing
        known =
          @set
            .relations_of(process.id, "flow")
            .select { |flow| flow.targets.all? { |id| id == process.id || %w[party system].include?(@set.element(id).kind) } }
        wanted.reject { |flow| there?(flow) }.map { |flow| adding(flow, "context") } + opening(wanted, context, "context") +
          known
            .reject do |flow|
              wanted.any? { |from, to, name, _| from == flow.target("from") && to == flow.target("to") && carries?(flow.name, name) }
            end
            .map { |flow| dropping(flow) }
      end

      def level_steps
        flows = within
        flows.reject { |flow| there?(flow) }.map { |flow| adding(flow, "data flow") } + opening(flows, level, "data flow")
      end

      def carries?(whole, name) = whole.casecmp?(name) || Composition.parts(@set, whole).any? { |part| part.casecmp?(name) }
      def there?((from, to, name, _)) = Flowing.of(@set, from, to).any? { |flow| carries?(flow.name, name) || carries?(name, flow.name) }

      def adding((from, to, name, row), notation)
        Change::Step.new(
          act: :add,
          key: "add #{from} #{to} #{name}",
          words: "#{name(from)} gives #{name} to #{name(to)}",
          why: "Row #{rows.index(row) + 1}: #{name(row.target("who"))} #{row.name}.",
          change:
            lambda do |draft|
              Change::Add.new(kind: "flow", name:, ends: [["from", from], ["to", to]]).apply(draft)
              on = opened(draft, notation)
              [from, to, *(process.id if notation == "context")].each { |id| Change::Show.new(sheet_id: on, element_id: id).apply(draft) }
            end
        )
      end

      # Flows that are there already may not be drawn yet.
      def opening(flows, standing, notation)
        there = flows.select { |flow| there?(flow) }
        ids = there.flat_map { |from, to, *| [from, to] }.uniq.reject { |id| standing && @set.shown?(standing.id, id) }
        return [] if ids.empty?

        [
          Change::Step.new(
            act: :add,
            key: "show #{notation}",
            words: "#{English.list(ids.map { |id| name(id) })} on the #{notation} sheet",
            why: "They take part, and do not stand there yet.",
            change: ->(draft) do
              opened(draft, notation).then { |on| ids.each { |id| Change::Show.new(sheet_id: on, element_id: id).apply(draft) } }
            end
          )
        ]
      end

      def opened(draft, notation)
        known = draft.sheets_about(process.id).find { |one| one.notation_name == notation }
        return known.id if known

        id =
          LevelSheet.sheet(draft, process, notation, notation == "context" ? "#{process.name} in context" : "#{process.name}: what is done")
        Change::Show.new(sheet_id: id, element_id: process.id).apply(draft) if notation == "context"
        id
      end

      def dropping(flow)
        Change::Step.new(
          act: :drop,
          key: "drop #{flow.id}",
          words: "#{name(flow.target("from"))} gives #{flow.name} to #{name(flow.target("to"))}",
          why: "No row of the table tells of it.",
          change: ->(draft) { Change::Remove.new(id: flow.id).apply(draft) if draft.element(flow.id) }
        )
      end
    end
  end
end
