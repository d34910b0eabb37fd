# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The courses of all interactions of a project, worked out once for all who look at them.
      class Courses
        One = Value.of(:interaction, :course, :executions)

        def initialize(set)
          @set = set
          @operations = {}
        end

        # @return [Array<One>]
        def all
          @all ||=
            @set.of_kind(Kinds::INTERACTION).map do |interaction|
              course = Course.new(@set, interaction.id)
              One.new(interaction:, course:, executions: Executions.new(course))
            end
        end

        # @return [Array<Model::Element>] what a participant can be asked
        def operations(participant) = @operations[participant["type"]] ||= Typing.operations(@set, participant)

        # @return [Array<Array(Model::Element, Calling, Model::Element)>] message, its words and who is asked, where that is of a class
        def calls
          @calls ||=
            all.flat_map { |one| one.course.messages }.filter_map do |message|
              next unless [nil, Kinds::CALL, Kinds::ASYNCHRONOUS].include?(message["sort"]) && message["open"] != Kinds::LOST

              to = @set.element(message.target("to"))
              calling = Calling.of(message.name)
              [message, calling, to] if calling && Typing.classed?(@set, to)
            end
        end
      end
    end
  end
end
