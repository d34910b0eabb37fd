# frozen_string_literal: true

module Basalt
  module Change
    # Another way to draw a sheet, of those that its notation has. Each way keeps a layout of
    # its own: the one left is put by, the one come back to is brought out again.
    SetVariant =
      Value.of(:sheet_id, :variant) do
        self::KEPT = %i[x y w h route].freeze
        # What a layout is put by under where nothing was chosen.
        self::PLAIN = "plain"

        # @return [Boolean] whether the sheet was drawn in this way before
        def self.known?(set, sheet_id, variant)
          set.placements_on(sheet_id).any? { |placement| placement.shape&.dig("layouts", variant || self::PLAIN) }
        end

        def apply(draft)
          sheet = draft.sheets[sheet_id] or raise Refusals::Gone, "the sheet"
          ways = sheet.notation.variants
          unless variant.nil? || ways.key?(variant)
            raise Mistake, "a #{sheet.notation_name} sheet is drawn #{ways.values.join(", ")}, not “#{Model::Names.short(variant)}”"
          end
          return if sheet.variant == variant

          draft.placements_on(sheet_id).to_a.each { |placement| turn(draft, sheet, placement) }
          view = (sheet.view || {}).merge("variant" => variant).compact
          draft.put(:sheets, sheet.with(view: view.empty? ? nil : view))
        end

        private

        def turn(draft, sheet, placement)
          layouts = (placement.shape || {}).fetch("layouts", {}).merge((sheet.variant || self.class::PLAIN) => plain(placement))
          again = layouts.delete(variant || self.class::PLAIN) || {}
          shape = (placement.shape || {}).merge("layouts" => layouts)
          draft.put(:placements, placement.with(**self.class::KEPT.to_h { |fact| [fact, again[fact.to_s]] }, shape:))
        end

        def plain(placement) = self.class::KEPT.to_h { |fact| [fact.to_s, placement.public_send(fact)] }.compact
      end
  end
end
