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

      # One file a check: each is there by being in the folder.
      #
      # @param within [Module] that holds them
      # @return [Array<Class>]
      def checks_in(folder, within)
        Dir[File.join(folder, "*.rb")].map { |path| within.const_get(LOADER.inflector.camelize(File.basename(path, ".rb"), path)) }
      end

      # @param part [Symbol] +:kinds+, +:notations+, +:forms+ or +:checks+
      # @return [Array] what all families bring of that part; what several share is there once
      def gather(part)
        (@gathered ||= {})[part] ||= (part == :slots ? all.map(&part) : all.flat_map(&part).uniq(&:object_id)).freeze
      end

      # @return [Module] the family that brings a notation
      def of_notation(name)
        @by_notation ||= all.flat_map { |family| family.notations.map { |notation| [notation.name, family] } }.to_h
        @by_notation.fetch(name)
      end

      # @return [String, nil] what an element is called that has no name of its own; nil where no family says so
      def title(set, element) = all.lazy.filter_map { |family| family.title(set, element) if family.respond_to?(:title) }.first

      # @return [Hash{String => Array<String>}] by id of what is there for others, their ids
      def serving(set)
        all.select { |family| family.respond_to?(:serving) }.map { |family| family.serving(set) }
          .reduce({}) { |all, found| all.merge(found) { |_, one, other| one | other } }
      end

      # @param ids [Array<String>] of what a sheet draws
      # @return [Hash{String => String}] by id, words that stand at it where the sheet shows them
      def signs(set, ids)
        all.select { |family| family.respond_to?(:signs) }.map { |family| family.signs(set, ids) }
          .reduce({}) { |all, found| all.merge(found) { |_, one, other| "#{one}, #{other}" } }
      end

      # @return [Array<String>] what families count where it is told which requirement is met
      def accounting(set) = all.select { |family| family.respond_to?(:accounting) }.flat_map { |family| family.accounting(set) }

      # What follows from all that an act does together, whichever way it did it.
      #
      # @param draft [Change::Draft] before it is arranged
      # @raise [Mistake] where the act cannot stand
      def settle(draft) = all.each { |family| family.settle(draft) if family.respond_to?(:settle) }
    end
  end
end
