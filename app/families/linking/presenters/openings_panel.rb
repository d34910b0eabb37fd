# frozen_string_literal: true

module Web
  module Families
    module Linking
      module Presenters
        # What one element opens into, in the margin.
        class OpeningsPanel
          # Sheets that are told one by one.
          MOST = 12

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          def shown? = !@element.relation? && @element.owner_id.nil?
          def openings = all.first(MOST)
          def more = [all.length - MOST, 0].max
          def lost = @set.links_of(@element.id).select(&:dangling?)

          # @return [Array<String>] names of the sheets that could be made for it and are not there
          def makes
            there = all.map { |opening| opening.sheet.notation_name }
            openers = Basalt::Openers.for(@set, @element).reject { |opener| there.include?(opener.class::NOTATION) }
            openers.map(&:name)
          end

          private

          def all = @all ||= Basalt::Drawing::OpeningSign.beneath(@set, @element, @sheet.id)
        end
      end
    end
  end
end
