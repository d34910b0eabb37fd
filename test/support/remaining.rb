# frozen_string_literal: true

# Run as a program in a copy of the application from which a family was taken: makes a project of what the families that are left offer as
# examples, opens every page that can be opened, acts, and tells the notations that it drew.
require File.join(Dir.pwd, "config/load")
require "rack/test"

Store::Database.connect(ENV.fetch("DATABASE_URL"))
project = Store::Project.open("What is left")
notations = Basalt::Model::Catalogue.notations
Store::ProjectSession
  .for(project.id)
  .open do |view|
    notations.each do |name, notation|
      view.act(said: "opened", by: "test") do |draft|
        Basalt::Statements::Document.new(["sheet #{name.capitalize}: #{name}", *notation.examples].join("\n")).into(draft)
      end
    end
  end
browser = Rack::Test::Session.new(Web::Application.with(secret: "0" * 64))
visit =
  lambda do |path|
    browser.get(path)
    status = browser.last_response.status
    abort "#{path}: #{status} #{browser.last_response.body[0, 400]}" if status >= 400
    browser.last_response.body
  end
token = JSON.parse(visit.call("/session"))["token"]
base = "/projects/#{project.id}"
visit.call(base).scan(%r{href="(#{base}/[^"#]*)"}).flatten.uniq.each { |path| visit.call(path.gsub("&amp;", "&")) }
set = Store::Snapshot.read(project.id)
set.sheet_list.each do |sheet|
  path = "#{base}/sheets/#{sheet.id}"
  inner = visit.call(path).scan(/href="(#{path}[^"#]*)"/).flatten.uniq.grep_v(/export\./)
  inner.each { |address| visit.call(address.gsub("&amp;", "&")) }
  set.things_on(sheet.id).first(2).each { |thing| visit.call("#{path}/facts/#{thing.id}") }
  %w[undo redo tidy].each { |act| browser.post("#{path}/#{act}", { token: }, "HTTP_HX_REQUEST" => "true") }
  abort "#{path}: #{browser.last_response.status}" unless browser.last_response.ok?
  visit.call("#{path}/findings")
end
print notations.keys.sort.join(", ")
