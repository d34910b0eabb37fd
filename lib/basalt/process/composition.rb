# frozen_string_literal: true

module Basalt
  module Process
    # What a flow consists of: information under its name, with its items, each of which may
    # consist of others again.
    module Composition
      DEEPEST = 12

      module_function

      def say(context, said)
        name = Model::Names.clean(said[:whole].to_str)
        whole = of(context.draft, name) || context.add("information", name:)
        known = context.draft.parts_of(whole.id).map(&:name)
        said[:items]
          .map { |item| Model::Names.clean(item.to_str) }
          .reject { |item| known.include?(item) }
          .each { |item| context.add("item", name: item, owner_id: whole.id) }
        raise Mistake, "#{name} would consist of itself" if parts(context.draft, name).include?(name)
      end

      # @return [Model::Element, nil] the information of that name
      def of(set, name) = set.named(name, "information").first

      # @return [Array<String>] names of what something consists of, one step down
      def items(set, name) = of(set, name)&.then { |whole| set.parts_of(whole.id).map(&:name) } || []

      # @return [Array<String>] names of all that something consists of, however far down
      def parts(set, name, depth = 0)
        return [] if depth > DEEPEST

        items(set, name).flat_map { |item| [item, *parts(set, item, depth + 1)] }.uniq
      end

      def tell(unparser, whole)
        items = unparser.set.parts_of(whole.id)
        return [] if items.empty?

        listed = items.each_with_index.flat_map { |item, index| [*(index.zero? ? [] : [:comma]), unparser.name(item.name)] }
        [unparser.say(unparser.name(whole.name), "consists of", *listed)]
      end

      def withdraw(context, said, other)
        whole = of(context.draft, Model::Names.clean(said[:whole].to_str)) or return
        stay = other ? other[:items].map { |item| Model::Names.clean(item.to_str) } : []
        context
          .draft
          .parts_of(whole.id)
          .reject { |item| stay.include?(item.name) }
          .each { |item| context.draft.apply(Change::Remove.new(id: item.id)) }
      end
    end
  end
end
