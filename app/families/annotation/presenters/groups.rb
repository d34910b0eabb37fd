# frozen_string_literal: true

module Web
  module Families
    module Annotation
      module Presenters
        # What belongs together: the members of a group, the groups of a thing, and the field that puts what is selected into one.
        class Groups
          MEMBERSHIP = Basalt::Annotation::Membership
          private_constant :MEMBERSHIP

          # @param element [Basalt::Model::Element, nil] what is selected, or
          # @param things [Array<Basalt::Model::Element>] several
          def initialize(project:, element: nil, things: [], **)
            @set = project.set
            @element = element
            @things = things
          end

          # @return [Array<Basalt::Model::Element>]
          def members = @element.kind == "group" ? MEMBERSHIP.members(@set, @element.id).map { |id| @set.element(id) } : []
          def groups = @element.relation? ? [] : MEMBERSHIP.groups(@set, @element.id)

          # @return [Boolean] whether what is selected can belong to a group
          def groupable? = @element ? !@element.relation? && @element.description.figure.nil? : @things.any?
          def names = @set.of_kind("group").map(&:name)
        end
      end
    end
  end
end
