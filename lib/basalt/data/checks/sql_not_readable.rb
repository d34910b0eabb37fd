# frozen_string_literal: true

module Basalt
  module Data
    module Checks
      # SQL that is kept and that PostgreSQL's parser does not read.
      class SqlNotReadable < Basalt::Checks::Check
        rule "sql-not-readable", :error, reads: ["addition", "view", Physical::Kinds::OBJECT],
                                         each: ["addition", "view", Physical::Kinds::OBJECT]

        FACTS = { "addition" => "written", "view" => "query", Physical::Kinds::OBJECT => "written" }.freeze

        def about(one)
          text = one[FACTS[one.kind]] or return []
          parse(text)&.then { |message| [refused(one, message)] } || []
        end

        private

        # @return [String, nil] what the parser says against it
        def parse(text)
          PostgresParser.parse(text) && nil
        rescue PostgresParser::ParseError => e
          e.message.sub(/ \(scan.*/, "")
        end

        def refused(one, message)
          owner = one.owner_id ? set.element(one.owner_id) : one
          what = one.owner_id ? "SQL behind #{owner.name}" : "The SQL of #{owner.name}"
          finding([owner.id], "#{what} cannot be read: #{message}", "No server would load it.")
        end
      end
    end
  end
end
