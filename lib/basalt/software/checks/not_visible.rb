# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A message asks for an operation that whoever sends it may not ask for.
      class NotVisible < InteractionCheck
        rule "not-visible", :error, reads: TYPED

        def findings
          courses.calls.filter_map do |message, calling, to|
            named = courses.operations(to).select { |operation| operation.name == calling.name }
            from = set.element(message.target("from"))
            next if named.empty? || from.id == to.id || named.any? { |operation| visible?(operation, from) }

            operation = named.first
            finding(
              [message.id, operation.owner_id, operation.id],
              "#{from.name} asks for #{operation.name}, which is #{operation["visibility"] == "-" ? "private" : "protected"} to " \
              "#{name(operation.owner_id)}",
              "Nobody else may ask for it.",
              repair: repair("Make it public", Change::Set.new(id: operation.id, fact: "visibility", value: "+"))
            )
          end
        end

        private

        def visible?(operation, from)
          type = Interactions::Typing.of(set, from)
          case operation["visibility"]
          when "-" then type&.id == operation.owner_id
          when "#" then type && [type.id, *Generalising.above(set, type.id)].include?(operation.owner_id)
          else true
          end
        end
      end
    end
  end
end
