# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What happens in an interaction: messages, marks and fragments in their order, with the branches of the fragments and what
      # these hold.
      class Course
        # A message, a mark or a fragment; +branches+ of a fragment, none otherwise.
        Item = Value.of(:element, :branches) do
          def fragment? = element.kind == "fragment"
          def message? = element.kind == "message"
        end
        Branch = Value.of(:element, :items)

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @return [Course]
        def self.of(set, interaction_id) = new(set, interaction_id)

        # @return [Array<Model::Element>] what stands in order in an interaction or a branch
        def self.within(set, container_id)
          found = set.elements.by(:container, container_id).select { |one| Kinds::ITEMS.include?(one.kind) }
          found.sort_by { |one| [Change::Reorder.key(one), one.ordinal] }
        end

        # @return [Model::Element, nil] the interaction that something is in, at any depth
        def self.interaction(set, element)
          seen = Set.new
          while element && element.kind != Kinds::INTERACTION && seen.add?(element.id)
            element = set.element((element.owner_id || element.container_id).to_s)
          end
          element if element&.kind == Kinds::INTERACTION
        end

        def initialize(set, interaction_id)
          @set = set
          @interaction_id = interaction_id
          @seen = Set.new
        end

        # @return [Array<Item>] the outermost, in order
        def items = @items ||= within(@interaction_id)

        # @return [Array<Model::Element>] in the order in which they stand beside each other
        def participants
          @participants ||=
            @set
              .elements
              .by(:container, @interaction_id)
              .select { |one| one.kind == "participant" }
              .sort_by { |one| [Change::Reorder.key(one), one.ordinal] }
        end

        # @return [Array<Item>] all, each before what it holds
        def flat = @flat ||= flatten(items)

        # @return [Array<Model::Element>] in order
        def messages = @messages ||= flat.select(&:message?).map(&:element)

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft] in which the order is the same
        # @return [Course] with elements as they are there
        def renewed(set)
          Course.new(set, @interaction_id).tap { |course| course.take_over(again(items, set), participants) }
        end

        # @return [Array<Item>, nil] the run of items that something stands in
        def run_of(id)
          each_run { |list| return list if list.any? { |item| item.element.id == id } }
          nil
        end

        # @yieldparam items [Array<Item>] of the interaction and of every branch, from the outermost inwards
        def each_run(list = items, &run)
          run.call(list)
          list.each { |item| item.branches.each { |branch| each_run(branch.items, &run) } }
        end

        protected

        def take_over(items, participants)
          @items = items
          @participants = participants
        end

        private

        def again(list, set)
          list.map do |item|
            element = set.element(item.element.id)
            next item if item.branches.empty? && element.equal?(item.element)

            Item.new(element:, branches: item.branches.map { |branch|
              Branch.new(element: branch.element, items: again(branch.items, set))
            })
          end
        end

        # What holds itself, which no act leaves so, is not followed twice.
        def within(container_id)
          return [] unless @seen.add?(container_id)

          Course.within(@set, container_id).map do |element|
            Item.new(element:, branches: element.kind == "fragment" ? branches(element) : [])
          end
        end

        def branches(fragment) =
          @set.parts_of(fragment.id).map { |operand| Branch.new(element: operand, items: within(operand.id)) }

        def flatten(list) =
          list.flat_map { |item| [item, *item.branches.flat_map { |branch| flatten(branch.items) }] }
      end
    end
  end
end
