# frozen_string_literal: true

module Web
  module Families
    module Process
      module Presenters
        # Which process creates, reads, alters and deletes which entity.
        class UsesPage
          LACKS = { "Nobody creates" => "C", "Nobody reads" => "R" }.freeze
          private_constant :LACKS

          # @param matrix [Basalt::Usage::Matrix]
          def initialize(matrix)
            @matrix = matrix
          end

          def empty? = @matrix.entities.empty? || @matrix.processes.empty?
          def entities = @matrix.entities.map(&:name)

          # @return [Array<Array(String, Array<String>)>] processes, with the letters for each entity
          def rows = @matrix.processes.map { |process| [process.name, @matrix.entities.map { |entity| @matrix.cell(process, entity) }] }

          # @return [Array<Array(String, Array<String>)>] what nobody does, and with which entities
          def lacks = LACKS.map { |words, letter| [words, @matrix.never(letter).map(&:name)] }.reject { |_, names| names.empty? }
        end
      end
    end
  end
end
