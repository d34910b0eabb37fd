# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # From each use case to what carries it; or, of one operation, which use cases need it.
        class AgreementPage
          Agreement = Basalt::Software::Interactions::Agreement
          # A cell with what is missing there, or the sheet that it leads to.
          Cell =
            Basalt::Value.of(:text, :finding, :missing, :sheet_id) do
              def bare? = missing && text.empty?
            end

          # @param operation_id [String, nil]
          def initialize(project, operation_id)
            @set = project.set
            @agreement = Agreement.new(@set)
            @operation = operation_id.to_s.match?(Lookup::ID) ? @set.element(operation_id) : nil
          end

          attr_reader :operation

          def columns = Agreement::COLUMNS[0..-2]
          def empty? = @agreement.rows.empty?
          def holes = @agreement.rows.count { |row| row.holes.any? }
          def operations = @agreement.operations.map { |one| [one.id, "#{@set.element(one.owner_id).name}.#{one.name}"] }
          def needing = @agreement.needing(@operation.id).map(&:name)
          def chosen?(id) = @operation&.id == id

          # @return [Array<Array<Cell>>] by columns
          def rows
            shown = @operation ? @agreement.rows.select { |row| row.operation&.id == @operation.id } : @agreement.rows
            shown.map { |row| told(row) }
          end

          private

          def told(row)
            columns.zip(@agreement.cells(row)).map do |column, text|
              sheet_id = column == "interaction" && row.interaction ? @set.sheets_about(row.interaction.id).first&.id : nil
              Cell.new(text:, missing: row.holes.key?(column), finding: row.holes[column], sheet_id:)
            end
          end
        end
      end
    end
  end
end
