# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # Places that rows name, from the outside inwards as in +Site / Room+; what is not known is made.
      module Places
        module_function

        # @param text [String, nil]
        # @return [Model::Element, nil] the innermost; nil where nothing is said
        # @raise [Mistake] when it is not clear which is meant
        def read(context, text)
          steps = text.to_s.split(%r{\s*[/>]\s*}).reject(&:empty?)
          steps.each_with_index.reduce(nil) { |outer, (name, index)| step(context, name, outer, level(index, steps.length)) }
        end

        def step(context, name, outer, level)
          known =
            context.draft
              .named(Model::Names.clean(name))
              .select { |element| element.kind == "place" && (outer.nil? || element.container_id == outer.id) }
          raise Mistake, "there are #{known.length} places called “#{name}”: write the way to it, as in Site / Room" if known.length > 1

          known.first || context.add("place", name:, facts: { "level" => level }, container_id: outer&.id)
        end

        def level(index, count)
          return "room" if count == 1
          return "site" if index.zero?

          index == count - 1 ? "room" : "building"
        end
      end
    end
  end
end
