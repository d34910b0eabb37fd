# frozen_string_literal: true

module Basalt
  module Software
    module Reverse
      # What was found in source code: classes and modules by their paths, and the files that could not be read, each with the reason.
      class Structure
        # What of a name may be asked for in which places: a file with more nested names is not code that people wrote.
        DEEPEST = 40

        def initialize
          @found = {}
          @skipped = []
        end

        attr_reader :skipped

        # @return [Array<Found>]
        def all = @found.values

        # @param path [Array<String>]
        # @return [Found, nil]
        def at(path) = @found[path]

        # What stands at a path; several files may speak of the same.
        #
        # @param type [Symbol] +:class+, +:module+, +:interface+, +:enumeration+
        def open(path, type)
          found = @found[path] ||= Found.new(path, type)
          found.type = type if found.type == :module && type != :module
          found
        end

        def skip(file, why) = @skipped << [file, why]

        # @return [Boolean] whether something is nested in it
        def holds?(path) = holders.include?(path)

        # The path that a name means where it is spoken of: looked for from there outwards.
        #
        # @param name [String] as in +Base+ or +Record::Base+
        # @param from [Array<String>] the path of what speaks of it
        # @return [Array<String>, nil]
        def resolve(name, from)
          words = name.delete_prefix("::").split("::")
          outwards = name.start_with?("::") ? [[]] : from.length.downto(0).map { |count| from.first(count) }
          outwards.map { |place| place + words }.find { |path| @found.key?(path) }
        end

        private

        def holders = @holders ||= @found.keys.flat_map { |path| (1...path.length).map { |count| path.first(count) } }.to_set
      end
    end
  end
end
