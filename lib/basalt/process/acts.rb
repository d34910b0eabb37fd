# frozen_string_literal: true

module Basalt
  module Process
    # The rows of the activity table: who does what, whether information is processed by it,
    # and what is given to whom.
    module Acts
      module_function

      def say(context, said)
        name = Model::Names.clean(said[:does].to_str)
        refuse_elsewhere(context, said[:who], name)
        known = row(context.draft, said[:who].id, name)
        context.show(said[:who])
        context.qualify(known || context.add("activity", name:, ends: [["who", said[:who].id], ["to", said[:who].id]]), said)
      end

      # On a sheet that shows no activities somebody meant something else.
      def refuse_elsewhere(context, who, name)
        return if context.sheet.nil? || context.sheet.notation.lines.include?("activity")

        raise Mistake,
              "“#{who.name} #{Model::Names.short(name)}” is an activity, and stands on a sheet of activities; what flows is said as " \
              "#{who.name} gives … to …"
      end

      # @return [Array<Model::Element>] what somebody does
      def of(set, who_id) = set.relations_of(who_id, "activity").select { |one| one.target("who") == who_id }

      # @return [Model::Element, nil] what somebody does, by its words
      def row(set, who_id, name) = set.named(name, "activity").find { |one| one.target("who") == who_id }

      # @return [Array<Model::Element>] in the order of their rows
      def sorted(activities) = activities.sort_by { |one| [Change::Reorder.key(one), one.ordinal] }

      # @return [String, nil] whom something is given to; nil where nobody gets it
      def receiver(activity) = activity.target("to") == activity.target("who") ? nil : activity.target("to")

      def give(context, activity, said)
        context.set(activity.id, "gives", said[:gives])
        receiver = said[:receiver] or return
        Change::Rejoin.new(id: activity.id, role: "to", target_id: receiver.id).apply(context.draft)
        context.show(receiver)
      end

      def keep(context, activity)
        context.set(activity.id, "gives", nil)
        Change::Rejoin.new(id: activity.id, role: "to", target_id: activity.target("who")).apply(context.draft)
      end

      def given(unparser, activity)
        to = receiver(activity)
        return [] unless activity["gives"] || to

        [["giving", unparser.word(activity["gives"] || "something"), *(["to", unparser.thing(to)] if to)]]
      end

      def tell(unparser, activity)
        qualities = Statements::Grammar.qualities("activity").flat_map { |quality| quality.tell(unparser, activity) }
        [
          unparser.say(
            unparser.thing(activity.target("who")),
            unparser.name(activity.name),
            *qualities.flat_map { |parts| [:comma, *parts] }
          )
        ]
      end

      # Another sentence in its place says another name for the same row.
      def withdraw(context, said, other)
        row = row(context.draft, said[:who].id, Model::Names.clean(said[:does].to_str)) or return
        return context.draft.apply(Change::Remove.new(id: row.id)) unless other && other[:who].id == said[:who].id

        said.fetch(:qualities, []).each { |quality, captures| quality.clear(context, context.draft.element(row.id), captures) }
        context.set(row.id, "name", other[:does].to_str)
      end
    end
  end
end
