# frozen_string_literal: true

module Basalt
  module Cloud
    # Where what is sent to a block goes, and what governs a subnet.
    module Routes
      module_function

      # @param said [Hash] +table+, +prefix+, and +to+ or nothing, where what is sent there is dropped
      def state(context, said)
        table = said[:table]
        unless table["service"] == Services::TABLE
          raise Mistake, "#{table.name} is #{English.article(table.noun)} #{table.noun}: only a #{Services::TABLE} routes"
        end

        to = said[:to] || table
        prefix = Addresses.prefix(said[:prefix]).to_s
        route = of(context.draft, table.id).find { |one| one["prefix"] == prefix }
        return turn(context, route, to, said) if route

        facts = { "prefix" => prefix, "nowhere" => (true unless said[:to]) }.compact
        context.qualify(context.add(Kinds::ROUTE, facts:, ends: [["table", table.id], ["to", to.id]]), said)
      end

      # @return [Array<Model::Element>]
      def of(set, table_id) = set.relations_of(table_id, Kinds::ROUTE).select { |route| route.target("table") == table_id }

      def withdraw(context, said)
        prefix = Addresses.prefix(said[:prefix]).to_s
        route = of(context.draft, said[:table].id).find { |one| one["prefix"] == prefix }
        context.draft.apply(Change::Remove.new(id: route.id)) if route
      end

      def tell(unparser, route)
        qualities = Statements::Grammar.qualities(Kinds::ROUTE).flat_map { |quality| quality.tell(unparser, route) }
        rest = qualities.flat_map { |parts| [:comma, *parts] }
        return [unparser.say(unparser.thing(route.target("table")), "drops", route["prefix"], *rest)] if route["nowhere"]

        [unparser.say(unparser.thing(route.target("table")), "routes", route["prefix"], "to", unparser.thing(route.target("to")), *rest)]
      end

      # @return [String] without a full stop
      def words(set, route)
        [set.element(route.target("table"))&.name, route["nowhere"] ? "drops" : "routes", route["prefix"],
         *(["to", set.element(route.target("to"))&.name] unless route["nowhere"])].join(" ")
      end

      # @param said [Hash] +by+, +subnet+
      def govern(context, said)
        by, subnet = said.values_at(:by, :subnet)
        unless Services::PAPERS.include?(by["service"])
          papers = Services::PAPERS.map { |one| "#{English.article(one)} #{one}" }.join(" or ")
          raise Mistake, "#{by.name} is #{English.article(by.noun)} #{by.noun}: subnets are governed by #{papers}"
        end
        return if governing(context.draft, subnet.id).any? { |one| one.id == by.id }

        context.add(Kinds::GOVERNANCE, ends: [["by", by.id], ["subnet", subnet.id]])
      end

      # @return [Array<Model::Element>] lists and tables of a subnet
      def governing(set, subnet_id) =
        set.relations_of(subnet_id, Kinds::GOVERNANCE).select { |one| one.target("subnet") == subnet_id }.map { |one| set.element(one.target("by")) }

      def tell_governing(unparser, one) = [unparser.say(unparser.thing(one.target("by")), "governs", unparser.thing(one.target("subnet")))]

      # One block goes one way.
      def turn(context, route, to, said)
        draft = context.draft
        draft.apply(Change::Rejoin.new(id: route.id, role: "to", target_id: to.id))
        context.set(route.id, "nowhere", said[:to] ? nil : true)
        context.qualify(route, said)
      end
    end
  end
end
