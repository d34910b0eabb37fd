# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A message gives an operation more or fewer arguments than it takes.
      class ArgumentsDoNotFit < InteractionCheck
        rule "arguments-do-not-fit", :warning, reads: TYPED

        def findings
          courses.calls.filter_map do |message, calling, to|
            named = courses.operations(to).select { |operation| operation.name == calling.name }
            next if named.empty? || named.any? { |operation| calling.fits?(operation) }

            operation = named.first
            finding(
              [message.id, operation.owner_id, operation.id],
              "#{words(message)} does not fit #{Classes::Facts.text(operation)} of #{name(operation.owner_id)}",
              "It gives #{English.count(calling.arguments.length, "argument")}; whoever builds it has to guess what is meant."
            )
          end
        end
      end
    end
  end
end
