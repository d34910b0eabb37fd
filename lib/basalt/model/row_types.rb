# frozen_string_literal: true

module Basalt
  module Model
    # The tables of the model, each in the order in which its rows can be made: what is pointed at comes first.
    module RowTypes
      ALTERED = ->(row) { "#{row.respond_to?(:name) && row.name ? row.name : 'it'} was altered by somebody else in the meantime" }
      private_constant :ALTERED

      ALL = [
        RowType.new(table: :sheets, row: Sheet, conflict: ALTERED,
                    indexes: { name: ->(s) { [s.name] }, subject: ->(s) { s.subject_id ? [s.subject_id] : [] } }),
        RowType.new(table: :elements, row: Element, merged: %i[facts], nested: { ends: End }, conflict: ALTERED,
                    derived: { identity: ->(e) { Change::Uniqueness.digest(e) } },
                    indexes: {
                      kind: ->(e) { [e.kind] },
                      name: ->(e) { e.name ? [e.name] : [] },
                      target: ->(e) { e.ends.map(&:target_id).uniq },
                      owner: ->(e) { e.owner_id ? [e.owner_id] : [] },
                      fact: ->(e) { e.indexed },
                      container: ->(e) { e.container_id ? [e.container_id] : [] }
                    }),
        RowType.new(table: :links, row: Link, conflict: ALTERED,
                    indexes: { element: ->(l) { [l.element_id] }, sheet: ->(l) { l.sheet_id ? [l.sheet_id] : [] } }),
        RowType.new(table: :waivers, row: Waiver, conflict: ALTERED, indexes: { finding: ->(w) { [w.finding] } }),
        RowType.new(table: :placements, row: Placement, merged: %i[shape], together: %i[x y w h pinned], unchecked: %i[by_hand],
                    conflict: ->(_) { "somebody else moved this in the meantime" },
                    indexes: {
                      sheet: ->(p) { [p.sheet_id] },
                      element: ->(p) { [p.element_id] },
                      spot: ->(p) { [[p.sheet_id, p.key]] },
                      again: ->(p) { p.again? ? [p.sheet_id, p.element_id] : [] },
                      closed: ->(p) { p.closed? ? [p.sheet_id] : [] }
                    })
      ].to_h { |type| [type.table, type] }.freeze

      module_function

      # @return [Array<Symbol>]
      def tables = ALL.keys

      # @return [RowType]
      # @raise [KeyError]
      def of(table) = ALL.fetch(table)
    end
  end
end
