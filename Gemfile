source "https://rubygems.org"

# Core
gem "ffi-geos", "~> 2.5"
gem "json_schemer", "~> 2.3"
gem "liquid", "~> 5.5"
gem "text-hyphen", "~> 1.5"
gem "naturally", "~> 2.2"
gem "nokogiri", "~> 1.18"
gem "pdf-core", "~> 0.10"
gem "proj4rb", "~> 5.0"
gem "ruby-vips", "~> 2.2"
gem "rubyzip", "~> 2.3"
gem "thor", "~> 1.3"
gem "ttfunk", "~> 1.8"
gem "zeitwerk", "~> 2.6"
gem "zip_kit", "~> 6.3"

# Application
gem "activerecord", "~> 7.2.0"
gem "aws-sdk-s3", "~> 1.200"
gem "delayed_job_active_record", "~> 4.1"
gem "puma", "~> 8.0"
# Restarts a server process that has grown, when its requests are done.
gem "puma_worker_killer", "~> 1.0"
gem "rack-protection", "~> 4.0"
gem "rack-timeout", "~> 0.7"
gem "rackup", "~> 2.2"
gem "shrine", "~> 3.6"
gem "sinatra", "~> 4.0"
gem "trilogy", "~> 2.9"

group :development, :test do
  gem "capybara", "~> 3.40"
  gem "prism", "~> 1.7"
  gem "rack-test", "~> 2.1"
  gem "rspec", "~> 3.13"
  gem "selenium-webdriver", "~> 4.20"
  gem "standard", "~> 1.40"
end
