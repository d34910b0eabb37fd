# frozen_string_literal: true

require "digest"

module Basalt
  module Data
    module Physical
      # The statements that make one database of another, in an order that runs. Both are models; what has the same id in both is the same
      # under whatever name, and otherwise what has the same name.
      class Migration
        # A statement, what is lost by it (nil where nothing is), and the element that it is about. One that is +by_hand+ is a hint: what
        # has to be done is not known. Within a phase they stand by +rank+.
        Step = Value.of(:phase, :sql, :loses, :element_id, :by_hand, :rank) do
          # @return [String] known again when the same models are compared once more
          def key = Digest::SHA256.hexdigest(sql)[0, 16]

          # @return [String] as a comment, with the reason
          def commented = ["#{"by hand: " if by_hand}#{loses}", *sql.lines(chomp: true)].map { |line| "-- #{line}" }.join("\n")
        end
        # In this order.
        PHASES = %i[
          rename drop_additions drop_views drop_references drop_constraints unjoin drop_tables aside recall make alter narrow drop_objects
          keys checks indexes references join views triggers additions comments
        ].freeze

        # @param from [Model::WorkingSet, Change::Draft] the database as it is
        # @param to [Model::WorkingSet, Change::Draft] as it is to be
        def initialize(from, to)
          @renames = Renames.new(from, to)
          @from = Side.new(@renames.draft)
          @to = Side.new(to)
        end

        # @return [Array<Step>]
        def steps
          @steps ||= begin
            pair = Pair.new(@from, @to)
            found = @renames.steps +
                    [Objects, Tables, Constraints, Views, AdditionSteps, Comments].flat_map { |part| part.new(pair).steps }
            found.sort_by.with_index { |step, index| [PHASES.index(step.phase), step.rank || 0, index] }
          end
        end

        # @return [Boolean] whether both are the same already
        def empty? = steps.empty?

        # @param steps [Array<Step>]
        # @param confirmed [Array<String>] keys of those that may lose something and are wanted; the others stay as comments
        # @return [String]
        def self.written(steps, confirmed = [])
          texts = steps.map { |step| step.by_hand || (step.loses && !confirmed.include?(step.key)) ? step.commented : step.sql }
          "#{texts.join("\n\n")}\n"
        end

        # @return [Array<Script::Statement>] what is run; all that may lose something is confirmed
        def statements
          steps.reject(&:by_hand).flat_map do |step|
            SQLText.new(step.sql).pieces.map { |piece| Script::Statement.new(text: "#{piece.text};", element_id: step.element_id) }
          end
        end
      end
    end
  end
end
