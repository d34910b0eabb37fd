# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # The tables of a sheet for another engine: what it cannot hold, and its types.
        class EnginePage
          MOST = 300

          # @param engine [Basalt::Data::Physical::Engine]
          def initialize(set, sheet, engine)
            @set = set
            @engine = engine
            @script = ProofWork.for_engine(set, sheet.id, engine)
          end

          def name = @engine.name
          def title = @engine.title

          # @return [Array<String>] what is lost, in words
          def losses = @losses ||= @script.losses.map(&:words).first(MOST)
          def statements = @script.statements.length

          # @return [Array<Array(String, String)>] types of PostgreSQL with those of the engine
          def types = @engine.types.merge(agreed).to_a

          # @return [String] one a line
          def agreed_text = agreed.map { |type, spelled| "#{type} = #{spelled}" }.join("\n")

          # @return [String, nil] why nothing can be proved on it here
          def missing = Store::EngineProof.missing(@engine.name)

          private

          def agreed = Basalt::Data::Physical::AgreedTypes.of(@set, @engine)
        end
      end
    end
  end
end
