# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # A participant is said to be one of a class that is not there.
      class ClassUnknown < InteractionCheck
        rule "class-unknown", :warning, reads: %w[participant class component]

        def findings
          set.of_kind("participant").filter_map do |one|
            type = one["type"] or next
            next if Interactions::Typing.of(set, one)

            finding(
              one.id,
              "#{one.name} is one of #{Model::Names.short(type, 60)}, which is neither a class nor a component",
              "Nobody can tell what it can be asked.",
              repair: repair("Make #{Model::Names.short(type, 60)} a class", Change::Add.new(kind: "class", name: type))
            )
          end
        end
      end
    end
  end
end
