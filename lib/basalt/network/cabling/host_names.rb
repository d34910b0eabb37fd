# frozen_string_literal: true

module Basalt
  module Network
    module Cabling
      # How a project names its units: a pattern in which +a+ stands for letters, +9+ for a digit, and everything else for
      # itself, so that +a-99+ is what +core-01+ is called after.
      module HostNames
        LONGEST = 60
        SHAPES = { "a" => "[a-z]+", "A" => "[A-Z]+", "9" => "\\d" }.freeze

        module_function

        # @return [String]
        # @raise [Mistake]
        def checked(text)
          return text if text.length <= LONGEST && !text.match?(/\s/)

          raise Mistake, "a pattern of names is one word of at most #{LONGEST} letters, such as a-99, which core-01 is called after"
        end

        def fits?(pattern, name) = name.match?(/\A#{pattern.chars.map { |one| SHAPES.fetch(one) { Regexp.escape(one) } }.join}\z/)
      end
    end
  end
end
