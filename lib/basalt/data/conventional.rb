# frozen_string_literal: true

module Basalt
  module Data
    # The house's conventions as sentences.
    module Conventional
      module_function

      # A quality whose fact has a name of several words.
      def pattern(name)
        Statements::Quality.new(
          Logical::Conventions::KIND,
          "#{name} pattern <value:word>",
          take: ->(context, convention, said) { context.set(convention.id, name, said[:value]) },
          tell: ->(unparser, convention) { convention[name] ? [["#{name} pattern", unparser.word(convention[name])]] : [] },
          clear: ->(context, convention, _) { context.set(convention.id, name, nil) }
        )
      end
    end
  end
end
