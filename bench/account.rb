# frozen_string_literal: true

# Prints the inventory of an account of so many resources; with a second argument one in so many has another name. In a process of
# its own, so that what it takes to make one is not counted.
require_relative "../config/load"
require_relative "../standins/cloud/account"
require "json"

count, altered = ARGV.map(&:to_i)
document = Standins::Cloud::Account.of(count).document
if altered
  resources = document["resources"].each_with_index.map { |one, n| (n % altered).zero? ? one.merge("name" => "#{one["name"]} x") : one }
  document = document.merge("resources" => resources)
end
puts JSON.generate(document)
