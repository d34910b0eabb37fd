# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      class Migration
        # Views that go, are new, or have to be made anew since what they speak of becomes another.
        class Views
          def initialize(pair)
            @pair = pair
          end

          # @return [Array<Step>]
          def steps
            gone = old_order.select { |view| leaves.include?(view.name) }
            made = @pair.to.order.select { |one| made?(one) }
            gone.map { |view| drop(view) } + made.map { |view| make(view) } + restored(made)
          end

          private

          def old_order = @pair.from.order.select { |one| one.kind == "view" && one["query"] }

          # With those that speak of one that leaves.
          def leaves
            @leaves ||= begin
              found = old_order.select { |view| other?(view) || speaks?(view, @pair.altered) }.to_set(&:name)
              loop do
                names = found.to_set { |name| SQLName.local(name) }
                more = old_order.reject { |view| found.include?(view.name) }.select { |view| speaks?(view, names) }
                break if more.empty?

                found.merge(more.map(&:name))
              end
              found
            end
          end

          def speaks?(view, names) = Words.of(view["query"]).any? { |pair| pair.any? { |name| names.include?(name) } }

          def other?(view)
            now = @pair.to.views[view.name] or return true
            %w[query materialised heading ending].any? { |fact| view[fact] != now[fact] }
          end

          def made?(one)
            one.kind == "view" && one["query"] && (!@pair.from.views.key?(one.name) || leaves.include?(one.name))
          end

          def make(view) =
            Step.new(phase: :views, sql: @pair.to.definitions.view(view), element_id: view.id, rank: @pair.to.rank(view))

          def drop(view)
            sql = "DROP #{"MATERIALIZED " if view["materialised"]}VIEW #{SQLName.qualified(view.name)};"
            Step.new(phase: :drop_views, sql:, element_id: view.id, rank: -@pair.from.rank(view))
          end

          # What stood behind a view went with it.
          def restored(made)
            made.select { |view| @pair.from.views.key?(view.name) }.flat_map do |view|
              additions = Sentences.additions(@pair.to.set, view.id)
              steps = additions.map { |one| Step.new(phase: :additions, sql: "#{one["written"]};", element_id: view.id) }
              view["meaning"] ? steps << comment(view) : steps
            end
          end

          def comment(view)
            what = @pair.to.definitions.commented(view).first.first
            Step.new(phase: :comments, sql: @pair.to.definitions.comment(what, view["meaning"]), element_id: view.id)
          end

          public

          # @return [Set<String>] names of views that are made anew
          def renewed = leaves
        end
      end
    end
  end
end
