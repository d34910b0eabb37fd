# frozen_string_literal: true

module Basalt
  module Cloud
    # A rule about clouds, looked at as a whole.
    class CloudCheck < Basalt::Checks::Check
      READS = ModelLandscape::KINDS

      private

      def scape = @scape ||= ModelLandscape.of(set)
      def reach = scape.analysis
      def resources = set.of_kind(Kinds::RESOURCE)
      def boundaries = set.of_kind(Kinds::BOUNDARY)
      def connections = set.of_kind(Kinds::CONNECTION)
      def name(id) = set.element(id)&.name.to_s
      def a(thing) = "#{English.article(thing.noun)} #{thing.noun}"
      def removal(thing, label) = repair(label, Change::Remove.new(id: thing.id))

      # @return [Array<Model::Element>] what something does, as it is drawn
      def out_of(thing)
        set.relations_of(thing.id, Kinds::CONNECTION).select { |one| one.target("from") == thing.id && one["verb"] != Verbs::JOINED }
      end

      # @return [Reach::Traffic] what somebody drew from the internet to a thing
      def meant(thing)
        set.relations_of(thing.id, Kinds::CONNECTION)
          .select { |one| one.target("to") == thing.id && Services::OUTSIDE.include?(set.element(one.target("from"))&.[]("service")) }
          .map { |one| TrafficText.traffic(one["protocol"], one["ports"]) }.reduce(Reach::Traffic::NONE, :|)
      end
    end
  end
end
