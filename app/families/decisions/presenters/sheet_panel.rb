# frozen_string_literal: true

module Web
  module Families
    module Decisions
      module Presenters
        # Whether a sheet shows what was decided of what stands there; a sheet of decisions is kept as records.
        class SheetPanel
          Core = Basalt::Decisions

          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          def log? = @sheet.notation_name == Core::Notation::Log.new.name

          # @return [Boolean] whether something was decided about what stands there
          def decided? = !log? && (@sheet.signs? || count.positive?)

          # @return [Integer] how many decisions are about what stands there
          def count
            about = @set.of_kind(Core::Kinds::CONCERNS).select { |one| here?(one.target("thing")) }
            about.map { |one| one.target("decision") }.uniq.length
          end

          private

          def here?(id)
            thing = @set.element(id)
            thing.relation? ? @set.drawn_between?(@sheet.id, thing) : @set.shown?(@sheet.id, id)
          end
        end
      end
    end
  end
end
