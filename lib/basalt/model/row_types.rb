# frozen_string_literal: true

module Basalt
  module Model
    # The tables of the model, each in the order in which its rows can be made: what is pointed at comes first.
    module RowTypes
      ALTERED = ->(row) { "#{row.respond_to?(:name) && row.name ? row.name : 'it'} was altered by somebody else in the meantime" }
      private_constant :ALTERED

      ALL = [
        RowType.new(table: :sheets, row: Sheet, conflict: ALTERED,
                    indexes: { name: :name.to_proc, subject: :subject_id.to_proc, notation: :notation_name.to_proc }),
        RowType.new(table: :elements, row: Element, merged: %i[facts], nested: { ends: End }, conflict: ALTERED,
                    derived: { identity: ->(e) { Change::Uniqueness.digest(e) } },
                    indexes: {
                      kind: :kind.to_proc,
                      name: :name.to_proc,
                      called: ->(e) { Queries.called(e.kind, e.name) if e.name },
                      # The first word of a name of several.
                      opening: ->(e) { e.name[/\A[^ ]+/] if e.name&.include?(" ") },
                      target: ->(e) { e.ends.map(&:target_id).uniq if e.relation? },
                      owner: :owner_id.to_proc,
                      fact: ->(e) { e.indexed },
                      container: :container_id.to_proc
                    }),
        RowType.new(table: :links, row: Link, conflict: ALTERED,
                    indexes: { element: :element_id.to_proc, sheet: :sheet_id.to_proc }),
        RowType.new(table: :waivers, row: Waiver, conflict: ALTERED, indexes: { finding: :finding.to_proc }),
        RowType.new(table: :placements, row: Placement, merged: %i[shape], together: %i[x y w h pinned], unchecked: %i[by_hand],
                    keeper: Occurrences,
                    conflict: ->(_) { "somebody else moved this in the meantime" },
                    indexes: {
                      sheet: :sheet_id.to_proc,
                      element: :element_id.to_proc,
                      again: ->(p) { [p.sheet_id, p.element_id] if p.again? },
                      closed: ->(p) { p.sheet_id if p.closed? }
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
