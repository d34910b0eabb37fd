# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # Items of an interaction that somebody chose.
      module Items
        module_function

        # @return [Array<Model::Element>] in their order, without those that stand in others of them
        # @raise [Mistake] where there are none, or they belong to several interactions
        def chosen(set, ids)
          items = ids.filter_map { |id| set.element(id) }.select { |one| Kinds::ITEMS.include?(one.kind) }
          raise Mistake, "Choose messages, notes or fragments first" if items.empty?

          interactions = items.map { |one| Course.interaction(set, one)&.id }.uniq
          raise Mistake, "What is chosen belongs to several interactions" unless interactions.one? && interactions.first

          course = Course.new(set, interactions.first)
          outermost(course.items, items.to_set(&:id))
        end

        # In the order of the course: keys count in one branch alone.
        #
        # @return [Array<Model::Element>, nil] nil for what does not stand in it
        def in_order(set, sheet_id, list)
          return unless list.first && Kinds::ITEMS.include?(list.first.kind) && (interaction = Scope.shown(set, sheet_id))

          places = Course.new(set, interaction.id).flat.each_with_index.to_h { |item, index| [item.element.id, index] }
          list.sort_by { |one| places.fetch(one.id, places.size) }
        end

        # @param wanted [Set<String>]
        def outermost(items, wanted)
          items.flat_map do |item|
            next [item.element] if wanted.include?(item.element.id)

            item.branches.flat_map { |branch| outermost(branch.items, wanted) }
          end
        end

        # A call with all that it causes, up to its answer: what stands behind it in the same run as long as it goes on.
        #
        # @return [Array<String>] ids
        def caused(set, id)
          message = set.element(id)
          course = Course.new(set, Course.interaction(set, message).id)
          executions = Executions.new(course)
          places = course.flat.each_with_index.to_h { |item, index| [item.element.id, index] }
          bar = executions.bars.find { |one| one.from == places[id] }
          run = course.run_of(id)
          return [id] unless bar && run

          run.select { |item| places[item.element.id].between?(bar.from, bar.to) }.map { |item| item.element.id }
        end
      end
    end
  end
end
