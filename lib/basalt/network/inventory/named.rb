# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # What a row names and must be known.
      module Named
        module_function

        # @return [Model::Element]
        # @raise [Mistake]
        def unit(context, name) = one(context, name, ["device"], "device")

        # @return [Model::Element] what a cable can end at
        # @raise [Mistake]
        def joined(context, name) = one(context, name, Kinds::JOINED, "thing")

        def one(context, name, kinds, noun)
          known = context.draft.named(Model::Names.clean(name)).select { |element| kinds.include?(element.kind) }
          short = Model::Names.short(name, 40)
          raise Mistake, "there is no #{noun} called “#{short}”: bring in the things first" if known.empty?
          raise Mistake, "there are #{known.length} #{noun}s called “#{short}”" if known.length > 1

          known.first
        end
      end
    end
  end
end
