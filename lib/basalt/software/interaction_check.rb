# frozen_string_literal: true

module Basalt
  module Software
    # A rule about interactions, each looked at as a whole.
    class InteractionCheck < Basalt::Checks::Check
      READS = %w[interaction participant message fragment operand].freeze
      TYPED = [*READS, "class", "component", "operation", "generalisation", "realisation"].freeze

      private

      # @return [Interactions::Courses]
      def courses = analysis[Interactions::Courses]

      # @yieldparam lives [Interactions::Lives] of an interaction, giving messages with whoever is not there for them
      # @param moment [String] when that is
      # @param why [String]
      def absent(moment, why)
        courses.all.flat_map { |one| yield Interactions::Lives.new(one.course) }.map do |message_id, id|
          finding([message_id, id], "#{name(id)} takes part in #{words(set.element(message_id))} #{moment}", why)
        end
      end

      # @yieldparam item [Interactions::Course::Item] each fragment
      def fragments = courses.all.flat_map { |one| one.course.flat.select(&:fragment?) }.flat_map { |item| yield item }

      def words(message) = message.name ? "“#{Model::Names.short(message.name)}”" : "a message without words"
      def name(id) = set.element(id).name

      # @return [String] who says what to whom
      def told(message) = "#{name(message.target("from"))} says #{words(message)} to #{name(message.target("to"))}"

      # @return [String] a fragment in words
      def fragment(item)
        guard = item.branches.first&.element&.[]("guard")
        "The #{item.element["operator"]}#{" when #{Model::Names.short(guard, 40)}" if guard}"
      end
    end
  end
end
