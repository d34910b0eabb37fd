# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # Which requirements something meets, and where sources speak of it.
        class ElementPanel
          # Phrases that are told.
          MOST = 12
          # Relations of the brief itself, which meet nothing.
          OWN = %w[requirement meets serves marking].freeze
          private_constant :MOST, :OWN

          def initialize(project:, element:, **)
            @set = project.set
            @element = element
          end

          # @return [Boolean] whether it could meet a requirement
          def meets? = requirements.any? && !OWN.include?(@element.kind)

          # @return [Array<Basalt::Model::Element>] requirements
          def met = @met ||= meeting.map { |one| @set.element(one.target("requirement")) }
          def unmet = requirements - met

          # @return [Array<Array(Basalt::Model::Element, String)>] sources, and what was marked in them
          def phrases
            Basalt::Brief::Marking.about(@set, @element.id).first(MOST).map do |phrase|
              [@set.element(phrase.owner_id), phrase["became"] || phrase["quote"]]
            end
          end

          private

          def requirements = @requirements ||= @set.of_kind("requirement")
          def meeting = @set.relations_of(@element.id, "meets").select { |one| one.target("thing") == @element.id }
        end
      end
    end
  end
end
