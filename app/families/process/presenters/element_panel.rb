# frozen_string_literal: true

module Web
  module Families
    module Process
      module Presenters
        # The level beneath a process, where a party stands, the place of a row, the parts of a flow.
        class ElementPanel
          TEMPLATES = { "process" => :process_element, "party" => :party_facts, "activity" => :row_facts, "flow" => :flow_facts }.freeze
          private_constant :TEMPLATES

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil] the template of its kind
          def template = TEMPLATES[@element.kind]

          # @return [Basalt::Model::Sheet, nil] that shows what is within the process
          def level = @level ||= @set.sheets_about(@element.id).find { |one| one.notation_name == "data flow" }
          def on_level? = level&.id == @sheet.id

          # @return [Integer] flows that the process has and the level beneath does not, or the other way round
          def lacks = @lacks ||= Basalt::Process::Balance.new(@set, @element).lacks.length

          # @return [Object, nil] whether the party is inside or outside, and why
          def verdict = @verdict ||= Basalt::Process::SystemBoundary.new(@set).of(@element)
          def other_side = verdict.outside? ? "inside" : "outside"

          # @return [Array<String>] what the flow consists of
          def items = Basalt::Process::Composition.items(@set, @element.name)
        end
      end
    end
  end
end
