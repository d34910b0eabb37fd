# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A message asks for an operation that the class of whoever gets it does not have, nor anything above that.
      class OperationNotInClass < InteractionCheck
        rule "operation-not-in-class", :warning, reads: TYPED

        def findings
          courses.calls.filter_map do |message, calling, to|
            next if courses.operations(to).any? { |operation| operation.name == calling.name }

            type = Interactions::Typing.of(set, to)
            finding(
              [message.id, to.id, type.id],
              "#{type.name} has no operation #{Model::Names.short(calling.name, 60)}",
              "#{told(message)}, and nothing of that name can be asked of it.",
              repair: repair("Give #{type.name} the operation", *adding(type, calling))
            )
          end
        end

        private

        def adding(type, calling)
          feature = Features::Notation.read(calling.operation)
          [Change::Add.new(kind: "operation", name: feature.name, owner_id: type.id,
                           facts: Classes::Facts.of(feature, "operation").compact)]
        rescue Mistake
          [Change::Add.new(kind: "operation", name: calling.name, owner_id: type.id, facts: { "visibility" => "+" })]
        end
      end
    end
  end
end
