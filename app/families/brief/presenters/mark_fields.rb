# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # What is asked about a phrase that becomes something.
        class MarkFields
          MOST = 300
          private_constant :MOST

          # @param noun [String] of what it becomes
          # @param name [String, nil] the name that is proposed
          def initialize(set, noun, name = nil)
            @set = set
            @noun = noun
            @name = name
          end

          attr_reader :name

          def remark? = @noun == Basalt::Brief::Marking::REMARK
          def name_label = @noun == "requirement" ? "Number" : "Name"

          # @return [Boolean] whether it belongs to something
          def beside? = !kinds.nil?
          def beside_label = @noun == "activity" ? "Who does it" : "Of"
          def beside_names = @set.of_kind(*kinds).filter_map(&:name).uniq.first(MOST)

          private

          def kinds = Basalt::Brief::Proposal.beside(@noun)
        end
      end
    end
  end
end
