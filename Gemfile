# frozen_string_literal: true

source "https://rubygems.org"

gem "bootsnap", "~> 1.18", require: false
gem "zeitwerk", "~> 2.6"

gem "erubi", "~> 1.13"
gem "puma", "~> 8.0"
gem "rack", "~> 3.2"
gem "rackup", "~> 2.2"
gem "sinatra", "~> 4.2"

gem "activerecord", "~> 7.2"
gem "pg", "~> 1.5"
gem "pg_query", "~> 6.1"
gem "prism", "~> 1.9"

gem "base64", "~> 0.2"
gem "combine_pdf", "~> 1.0"
gem "csv", "~> 3.3"
gem "diff-lcs", "~> 1.6"
gem "dry-inflector", "~> 1.1"
gem "json", "~> 2.9"
gem "json_schemer", "~> 2.4"
gem "loofah", "~> 2.24"
gem "nokogiri", "~> 1.18"
gem "rack-attack", "~> 6.7"
gem "ruby-vips", "~> 2.3"
gem "que", "~> 2.4"
gem "rubyzip", "~> 2.4", require: "zip"
gem "sqlite3", "~> 2.8"
gem "ttfunk", "~> 1.8"

group :test do
  gem "axe-core-capybara", "~> 4.10"
  gem "capybara", "~> 3.40"
  gem "minitest", "~> 5.25"
  gem "rack-test", "~> 2.2"
  gem "selenium-webdriver", "~> 4.32"
end

group :development do
  gem "brakeman", "~> 7.1", require: false
  gem "rubocop", "~> 1.80", require: false
end
