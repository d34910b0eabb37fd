# frozen_string_literal: true

module Basalt
  module Change
    # Gives a sheet another name, band or value of its title block.
    SetSheet =
      Value.of(:id, :fact, :value) do
        def apply(draft)
          sheet = draft.sheets[id] or raise Refusals::Gone, "the sheet"
          clean = value.to_s.strip.empty? ? nil : Model::Names.clean(value)
          raise Mistake, "a sheet needs a #{fact}" if %i[name number].include?(fact) && clean.nil?
          if fact == :band && !Model::Sheet::BANDS.include?(clean)
            raise Mistake, "a sheet is on one of the levels #{Model::Sheet::BANDS.join(", ")}"
          end
          if fact == :name && draft.sheets.ids_by(:name, clean).any? { |other| other != id }
            raise Refusals::NameTaken.new("sheet", clean)
          end

          altered = sheet.with(fact => clean)
          draft.put(:sheets, altered) unless altered == sheet
        end
      end
  end
end
