# frozen_string_literal: true

module Basalt
  module Software
    module Skeleton
      # Names of a model as names of Ruby.
      module Identifiers
        RESERVED = %w[
          BEGIN END alias and begin break case class def defined? do else elsif end ensure false for if in module next nil not or redo
          rescue retry return self super then true undef unless until when while yield __FILE__ __LINE__ __ENCODING__
        ].to_set.freeze

        module_function

        # @return [String] of a class or a module
        def constant(name)
          words = name.unicode_normalize(:nfd).gsub(/\p{M}/, "").scan(/[A-Za-z0-9]+/)
          found = words.map { |word| word[0].upcase + word[1..] }.join
          found.match?(/\A[A-Z]/) ? found : "X#{found}"
        end

        # @return [String] of a method, an attribute or a parameter
        def method(name)
          return name if name.match?(/\A(\[\]=?|[+\-*\/%~!]|<=>|==|===|=~|<<|>>|<=?|>=?|&|\||\^)\z/)

          words = name.unicode_normalize(:nfd).gsub(/\p{M}/, "").gsub(/([a-z0-9])([A-Z])/, "\\1_\\2").scan(/[A-Za-z0-9]+/)
          found = words.map(&:downcase).join("_")
          found = "x_#{found}" unless found.match?(/\A[a-z]/)
          found = "#{found}_" if RESERVED.include?(found)
          "#{found}#{name[/[?!=]\z/]}"
        end

        # @return [String] without marks that only methods may have
        def variable(name) = method(name).delete("?!=")

        # @return [String] of a file
        def file(name) = constant(name).gsub(/([A-Z]+)([A-Z][a-z])/, "\\1_\\2").gsub(/([a-z0-9])([A-Z])/, "\\1_\\2").downcase
      end
    end
  end
end
