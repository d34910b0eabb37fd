# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # What an inventory says of a thing, and by what it can be reached; of a rule, what hangs on it.
        class ElementPanel
          K = Basalt::Cloud::Kinds

          def initialize(project:, sheet:, element:)
            @set = project.set
            @sheet = sheet
            @element = element
          end

          # @return [Symbol, nil]
          def template
            case @element.kind
            when K::RESOURCE, K::BOUNDARY then :cloud_facts
            when K::RULE then :rule_facts
            when K::CONNECTION then @element["taken"] ? :taken_facts : nil
            end
          end

          def resource? = @element.kind == K::RESOURCE
          def shown?(name) = Basalt::Cloud::ShownFacts.of(@element).include?(name)
          def boundary? = @element.kind == K::BOUNDARY

          # @return [Hash{String => String}]
          def details = Basalt::Cloud::Details.read(@element["details"])

          # @return [Boolean] whether rules decide who reaches it, or something is declared of it
          def reached?
            (@element.kind == K::RESOURCE && !Basalt::Cloud::Services::PAPERS.include?(@element["service"])) || @element["level"] == "site"
          end

          # @return [Array<String>] the rules of a list, and the routes of a table, in words
          def rules
            lists = Basalt::Cloud::Rules.of(@set, @element.id).map { |rule| Basalt::Cloud::Rules.words(@set, rule) }
            lists + Basalt::Cloud::Routes.of(@set, @element.id).map { |route| Basalt::Cloud::Routes.words(@set, route) }
          end

          # @return [Array<String>] what allows a connection that was taken from the rules
          def reasons
            from, to = @element.endpoints.first(2)
            low = Basalt::Cloud::TrafficText.traffic(@element["protocol"], @element["ports"]).ranges.first&.first.to_i
            protocol, span = Basalt::Cloud::Reach::Traffic::SPANS.find { |_, numbers| numbers.cover?(low) }
            Basalt::Cloud::Question.new(@set, from, to, protocol, low - span.first).steps.map(&:text)
          end
        end
      end
    end
  end
end
