# frozen_string_literal: true

require "prism"

module Basalt
  module Software
    module Reverse
      # Classes and modules of Ruby source, read and never executed: superclasses, what is mixed in, methods with what they take and who may
      # call them, attributes, constants, and the classes that are spoken of.
      class RubySource
        # Bytes of one file.
        LIMIT = 2_000_000

        # @param files [Enumerable<Array(String, String)>] name and content of each
        # @return [Structure]
        def self.read(files)
          files.each_with_object(Structure.new) { |(name, content), structure| new(structure).read(name, content) }.tap(&:all)
        end

        def initialize(structure)
          @structure = structure
        end

        # A file that is no Ruby is left out and named.
        def read(name, content)
          return @structure.skip(name, "has more than #{LIMIT / 1_000_000} MB") if content.bytesize > LIMIT

          parsed = Prism.parse(content)
          wrong = parsed.errors.first
          return @structure.skip(name, "line #{wrong.location.start_line}: #{wrong.message}") if wrong

          RubyVisitor.new(@structure).visit(parsed.value)
        rescue SystemStackError
          @structure.skip(name, "is nested too deeply to be read")
        end
      end
    end
  end
end
