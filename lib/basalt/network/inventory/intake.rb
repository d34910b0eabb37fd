# frozen_string_literal: true

module Basalt
  module Network
    module Inventory
      # Takes a whole inventory into a draft, row by row; a row that cannot be taken leaves
      # nothing behind and is told with its line and the reason.
      class Intake
        Rejected = Value.of(:line, :reason, :cells)
        Result = Value.of(:taken, :rejected, :remarks)

        # @param table [Formats::CSV]
        # @param mapping [Hash{String => Integer}] field to column
        # @param subject [Subject] what the rows are about
        # @raise [Mistake] when the mapping cannot be used
        def initialize(table, mapping, subject = Subjects::THINGS)
          subject.check(mapping, table.headings)
          @subject = subject
          @table = table
          @mapping = mapping
        end

        # @param draft [Change::Draft]
        # @yieldparam done [Integer] rows seen so far
        # @return [Result]
        def take(draft, sheet_id:, said_by: nil)
          @gateways = []
          rejected = in_order.each_with_index.filter_map do |row, index|
            yield index if block_given? && (index % 50).zero?
            attempt(draft, row, sheet_id, said_by)
          end
          Result.new(taken: @table.rows.length - rejected.length, rejected: rejected.sort_by(&:line), remarks: settle_gateways(draft))
        end

        # @param draft [Change::Draft] not altered
        # @return [Array<Array(Formats::CSV::Row, Array<String>, String)>] row, sentences it would become, reason if it cannot
        def preview(draft, sheet_id:, rows: 8)
          scratch = Change::Draft.new(draft, ids: draft.ids)
          @gateways = []
          @table.rows.first(rows).map do |row|
            before = Change::Draft.new(scratch, ids: draft.ids)
            refused = attempt(before, row, sheet_id, nil)
            sentences = refused ? [] : tell(before)
            before.effect.deltas.each { |delta| scratch.put(delta.table, delta.after) if delta.after }
            [row, sentences, refused&.reason]
          end
        end

        private

        # Rows that name their subnet come first, so that those with only an address find it.
        def in_order
          return @table.rows unless @mapping["subnet"] || @mapping["address"]

          named, others = @table.rows.partition { |row| !values(row)["subnet"].to_s.empty? || values(row)["address"].to_s.include?("/") }
          named + others
        end

        def values(row) = @mapping.transform_values { |column| row.cells[column].to_s }

        def attempt(draft, row, sheet_id, said_by)
          trial = Change::Draft.new(draft, ids: draft.ids)
          gateway = @subject.record.new(values(row), Statements::Context.new(trial, sheet_id:, said_by:)).take
          @gateways << gateway if gateway
          trial.effect.deltas.each { |delta| draft.put(delta.table, delta.after) }
          nil
        rescue Mistake => e
          Rejected.new(line: row.line, reason: e.message, cells: row.cells)
        end

        def tell(draft)
          unparser = Statements::Unparser.new(draft)
          draft.elements.differences.filter_map { |_, _, after| after }.sort_by { |e| [e.relation? ? 1 : 0, e.ordinal] }
            .flat_map { |element| unparser.tell(element) }
        end

        # The gateway that rows named by address is whoever has that address.
        def settle_gateways(draft)
          @gateways.uniq.filter_map do |subnet_id, address|
            holder = draft.relations_of(subnet_id, "attachment").find { |attachment| attachment["address"] == address }
            next "#{address}, the gateway of #{draft.element(subnet_id).name}, is on no thing of the inventory" unless holder

            Change::Set.new(id: holder.id, fact: "gateway", value: true).apply(draft)
            nil
          end
        end
      end
    end
  end
end
