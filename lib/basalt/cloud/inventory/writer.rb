# frozen_string_literal: true

require "json"

module Basalt
  module Cloud
    module Inventory
      # What a model has of a cloud, as an inventory: read in again it is the same.
      class Writer
        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        # @param account [Hash] +id+ and +name+
        def initialize(set, account)
          @set = set
          @account = account
        end

        # @return [String]
        def json = JSON.pretty_generate(document)

        # @return [Hash]
        def document
          papers, resources = @set.of_kind(Kinds::RESOURCE).partition { |one| Services::PAPERS.include?(one["service"]) }
          lists, tables = papers.partition { |one| one["service"] == Services::LIST }
          {
            "format" => Reader::FORMAT, "version" => Reader::VERSION, "account" => @account,
            "boundaries" => @set.of_kind(Kinds::BOUNDARY).map { |one| boundary(one) },
            "resources" => resources.map { |one| resource(one) },
            "groups" => groups.map { |one| { "id" => id(one.id), "name" => one.name, "rules" => rules(one) } },
            "lists" => lists.map { |one| paper(one).merge("rules" => rules(one)) },
            "tables" => tables.map { |one| paper(one).merge("routes" => routes(one)) },
            "connections" => @set.of_kind(Kinds::CONNECTION).reject { |one| one["taken"] }.map { |one| connection(one) }
          }
        end

        private

        def id(element_id)
          @set.element(element_id).then { |one| one.external_id&.start_with?("cloud ") ? one.external_id.split(" ", 3).last : one.id }
        end

        def thing(one) =
          { "id" => id(one.id), "name" => one.name, "in" => one.container_id && id(one.container_id), "zone" => one["zone"],
            "facts" => Details.read(one["details"]).then { |facts| facts unless facts.empty? } }

        def boundary(one) = thing(one).merge("level" => one["level"], "blocks" => Prefixes.read(one["prefixes"]).map(&:to_s)).compact

        def resource(one)
          own = @set.relations_of(one.id, "membership").select { |line| line.target("member") == one.id }
          groups = own.select { |line| ruled.include?(line.target("group")) }
          thing(one).merge("service" => one["service"], "address" => one["address"], "public" => one["public"],
                           "groups" => groups.map { |line| id(line.target("group")) }).compact
        end

        def ruled = @ruled ||= groups.to_set(&:id)

        # Groups that say nothing of what passes are a drawing's own.
        def groups
          @groups ||= @set.of_kind(Kinds::GROUP).select { |one| one.external_id&.start_with?("cloud ") || Rules.of(@set, one.id).any? }
        end

        def paper(one)
          subnets = @set.relations_of(one.id, Kinds::GOVERNANCE).map { |line| id(line.target("subnet")) }
          thing(one).merge("subnets" => subnets).compact
        end

        def rules(holder)
          Rules.of(@set, holder.id).map do |rule|
            { "direction" => rule["direction"], "action" => (rule["action"] if rule["action"] == "denies"), "protocol" => rule["protocol"],
              "ports" => rule["ports"], Rules::TOWARDS.fetch(rule["direction"]) => whom(rule) }.compact
          end
        end

        def whom(rule) = rule["block"] || (rule["anybody"] ? Rules::ANYBODY : { "group" => id(rule.target("peer")) })

        def routes(table)
          all = Routes.of(@set, table.id)
          all.map { |route| { "block" => route["prefix"], "to" => (id(route.target("to")) unless route["nowhere"]) }.compact }
        end

        def connection(one)
          from, to = one.endpoints.first(2).map { |end_id| id(end_id) }
          { "from" => from, "does" => one["verb"], "to" => to, "protocol" => one["protocol"], "ports" => one["ports"],
            "both ways" => one["both"] }.compact
        end
      end
    end
  end
end
