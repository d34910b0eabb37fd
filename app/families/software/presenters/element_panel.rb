# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What happens in a use case and what it came from; what can become of a class, its features and its lines.
        class ElementPanel
          TEMPLATES = {
            "use case" => :use_case_facts,
            "actor" => :thread_facts,
            "class" => :class_facts,
            "component" => :thread_facts,
            **Basalt::Software::Classes::Kinds::ASSOCIATIONS.to_h { |kind| [kind, :association_facts] }
          }.freeze
          # A feature with what can become of it: the word of the act, and what the button says.
          Row = Basalt::Value.of(:id, :text, :acts)
          private_constant :TEMPLATES

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil] the template of its kind
          def template = TEMPLATES[@element.kind]

          # @return [String] the steps as they are typed
          def description = @description ||= Basalt::Software::UseCases::DescriptionText.of(@set, @element.id)
          def lines = [description.count("\n") + 2, 5].max

          # @return [Array<Array(String, String)>] what it answers: the verb, and about what
          def threads
            Basalt::Software::UseCases::Threads.of(@set, @element.id).map do |one|
              source = @set.element(one.target("source"))
              [one["verb"], source.name || source.kind]
            end
          end

          # So many features are listed with what can become of them; of larger classes the rest is in the table above.
          MOST = 40

          # @return [Array<Row>]
          def features = @features ||= parts.first(MOST).map { |part| row(part) }
          def count = parts.length
          def more = [count - MOST, 0].max

          def special? = general_ids.one?
          def general? = Basalt::Software::Generalising.beneath(@set, @element.id).any?
          def operations? = Basalt::Software::Classes::Featuring.operations(@set, @element.id).any?

          private

          def parts = @parts ||= Basalt::Software::Classes::Featuring.of(@set, @element.id)
          def general_ids = @general_ids ||= Basalt::Software::Generalising.direct(@set, @element.id)

          def row(part)
            text = Basalt::Software::Classes::Facts.text(part)
            Row.new(id: part.id, text:, acts: moves + (part.kind == "property" ? becoming(part) : []))
          end

          def moves = [(["up", "pull up"] if special?), (["down", "push down"] if general?)].compact

          def becoming(part)
            [(["line", "line"] if class_type?(part)), %w[enumeration enumeration], %w[class class], %w[accessors accessors]].compact
          end

          # Many features are of one type.
          def class_type?(part)
            @typed ||=
              Hash.new do |known, type|
                names = Basalt::Software::Classes::Types.names(type)
                known[type] = names.any? { |name| Basalt::Software::Classes::Types.classes(@set, name, @element).any? }
              end
            @typed[part["type"]]
          end
        end
      end
    end
  end
end
