# frozen_string_literal: true

module Basalt
  # The families of kinds. A family is a folder beside this file with a +family.rb+ in
  # it; finding the folders is all that the base knows of them.
  module Families
    @names = Dir[File.join(__dir__, "*", "family.rb")].map { |file| File.basename(File.dirname(file)) }.sort

    class << self
      attr_reader :names

      # @return [Array<Module>] each with +kinds+, +notations+, +forms+, +qualities+ and +checks+
      def all
        @all ||= names.map { |name| Basalt.const_get(LOADER.inflector.camelize(name, nil)).const_get(:Family) }.freeze
      end

      # @param part [Symbol] +:kinds+, +:notations+, +:forms+ or +:checks+
      # @return [Array] what all families bring of that part
      def gather(part)
        (@gathered ||= {})[part] ||= all.flat_map(&part).freeze
      end

      # What follows from all that an act does together, whichever way it did it.
      #
      # @param draft [Change::Draft] before it is arranged
      # @raise [Mistake] where the act cannot stand
      def settle(draft) = all.each { |family| family.settle(draft) if family.respond_to?(:settle) }
    end
  end
end
