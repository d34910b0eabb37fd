# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # What a derived attribute comes to: a column that the server works out from others of its
      # row, a view where its rule looks at other tables, a value that whoever writes keeps right,
      # or nothing.
      class Computed
        FORMS = ["generated column", "view", "stored value"].freeze

        # @param house [Conventions]
        def initialize(set, house, attribute)
          @set = set
          @house = house
          @attribute = attribute
        end

        # @return [String, nil] one of FORMS; nil where it is left out
        def form = @form ||= chosen || usual

        def column? = form == "generated column" || form == "stored value"
        def view? = form == "view"

        # @return [String, nil] for a generated column
        def expression = form == "generated column" ? @attribute["rule"] : nil

        # @return [String, nil] what became of it, and why
        def why
          return unless @attribute["rule"]

          name = @attribute.name
          case form
          when "generated column" then "#{name} is worked out by the server from its own row."
          when "stored value" then "#{name} is stored: whoever writes keeps it right by the rule “#{@attribute['rule']}”."
          when "view" then "#{name} looks at other tables, which a generated column cannot, so a view works it out."
          else sql? || !across? ? nil : "#{name} looks at other tables, and its rule is in words: nothing works it out yet."
          end
        end

        # @return [Boolean] whether what it is derived from is of another entity
        def across?
          source = @attribute["source"] or return false
          Describing.of(@set, @attribute.owner_id).none? { |other| other.name == source }
        end

        private

        def chosen = @attribute["becomes"] == "view" && !sql? ? nil : @attribute["becomes"]

        def usual
          return unless @attribute["rule"]
          return sql? ? "view" : nil if across?

          "generated column" if @house.derived == "generated"
        end

        # Whether the rule is an expression that the server could work out, and not a sentence.
        def sql?
          return @sql if defined?(@sql)

          @sql = begin
            PostgresParser.parse("SELECT (#{@attribute['rule']})").tree.stmts.one?
          rescue PostgresParser::ParseError
            false
          end
        end
      end
    end
  end
end
